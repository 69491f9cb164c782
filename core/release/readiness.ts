import type { BriefFields } from '../brief/brief'
import { questionState } from './answered'
import { inOrder, type Checklist } from './checklist'
import { hourState } from './hour'
import { done, HOUR_ID, open, type Found, type PointState } from './point'
import { SEEN_POINTS, triedChecks, type ReleaseAround } from './seen'
import { QUESTION_GROUPS, SHEET_QUESTIONS, type QuestionId } from './sheet'

/** What the points of the sheet are grouped by, in the order in which they can be known. */
export const POINT_GROUPS = [
  { id: 'seen', title: 'What is there' },
  ...QUESTION_GROUPS,
  { id: 'when', title: 'When' },
  { id: 'own', title: 'My own points' },
] as const
export type PointGroup = (typeof POINT_GROUPS)[number]['id']

/** One line of the release sheet. */
export interface ReleasePoint extends Found {
  id: string
  group: PointGroup
  title: string
  /** The question it asks; `null` where it asks none. */
  question: QuestionId | null
}

export interface ReadinessFrom extends ReleaseAround {
  fields: BriefFields
  checklist: Checklist
  now: number
  /** An hour as the channel's clock shows it. */
  inWords: (at: number) => string
}

/** Every point of a brief's release that its channel asks for, group by group. */
export function readiness(from: ReadinessFrom): ReleasePoint[] {
  const { fields, checklist, now, inWords, rights } = from
  const checks = triedChecks(fields, from.profile)
  const point = (id: string, group: PointGroup, title: string, found: Found, question: QuestionId | null = null) => ({
    id,
    group,
    title,
    question,
    ...found,
  })
  const points: ReleasePoint[] = [
    ...SEEN_POINTS.map(({ id, title, look }) => point(id, 'seen', title, look(fields, from, checks))),
    ...SHEET_QUESTIONS.map(question =>
      point(question.id, question.group, question.title, questionState(question, fields, rights), question.id),
    ),
    point(HOUR_ID, 'when', 'Hour of release', hourState(fields, now, inWords)),
    ...checklist.own.map(({ id, text }) =>
      point(id, 'own', text, Object.hasOwn(fields.ticked, id) ? done('Ticked.') : open('Not ticked yet.')),
    ),
  ]
  const off = new Set(checklist.off)
  const asked = inOrder(
    points.filter(({ id }) => !off.has(id)),
    checklist,
  )
  return POINT_GROUPS.flatMap(({ id }) => asked.filter(({ group }) => group === id))
}

/** Points that stand in the way of a release. */
const IN_THE_WAY: readonly PointState[] = ['open', 'unanswered']
export const leftOf = (points: readonly ReleasePoint[]) => points.filter(({ state }) => IN_THE_WAY.includes(state))

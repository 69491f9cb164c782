import { z } from 'zod'
import { readJsonFile } from '../formats/jsonFile'
import { HOUR_ID, SEEN_IDS } from './point'
import { SHEET_QUESTIONS } from './sheet'

const pointId = z.string().min(1).max(60)
/** Points that are there already. */
const TAKEN: ReadonlySet<string> = new Set([...SEEN_IDS, ...SHEET_QUESTIONS.map(({ id }) => id), HOUR_ID])

/** A point of a channel's own, ticked by hand. */
export const ownPointSchema = z.object({
  id: pointId.refine(id => !TAKEN.has(id), 'Another point has this id.'),
  text: z.string().trim().min(1, 'Write what is to be done.').max(200, 'A point can be 200 characters at most.'),
})
export type OwnPoint = z.infer<typeof ownPointSchema>

/** What a channel makes of the release sheet: points of its own, points switched off, and an order. */
export const checklistSchema = z.object({
  own: z
    .array(ownPointSchema)
    .max(60, 'A checklist can have 60 points of its own at most.')
    .refine(own => new Set(own.map(each => each.id)).size === own.length, 'Each point needs an id of its own.'),
  /** Ids of points that are not asked for. */
  off: z.array(pointId).max(200),
  /** Ids of points that were moved, in their order within their group; the others keep theirs behind them. */
  order: z.array(pointId).max(200),
})
export type Checklist = z.infer<typeof checklistSchema>

/** What a channel begins with: what nobody but a person can see. */
export const FIRST_CHECKLIST: Checklist = {
  own: [
    { id: 'thumbnail-looked-at', text: 'Thumbnail looked at small, among the others' },
    { id: 'watched-to-the-end', text: 'Watched to the end once after the upload' },
  ],
  off: [],
  order: [],
}

const checklistFileSchema = checklistSchema.extend({
  format: z.literal(1, 'This is not a checklist of a format that is known (1).'),
  kind: z.literal('fonetra-checklist', 'This is not a file of a checklist.'),
})

/** A checklist as text of its file. */
export const writeChecklist = (checklist: Checklist): string =>
  `${JSON.stringify({ format: 1, kind: 'fonetra-checklist', ...checklist }, null, 2)}\n`

/** @throws FileFault that names each fault with its line. */
export function readChecklist(text: string): Checklist {
  const { own, off, order } = readJsonFile(text, checklistFileSchema).value
  return { own, off, order }
}

/** In the order of a checklist; what it does not name keeps its place behind what it does. */
export function inOrder<Point extends { id: string }>(points: readonly Point[], { order }: Pick<Checklist, 'order'>) {
  const place = new Map(order.map((id, i) => [id, i]))
  const of = ({ id }: Point) => place.get(id) ?? order.length
  return [...points].sort((a, b) => of(a) - of(b))
}

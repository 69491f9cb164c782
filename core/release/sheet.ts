import { z } from 'zod'
import type { ChannelRight } from './rights'

const yesNo = z.boolean().nullable()
const words = (what: string, most: number) =>
  z.string().max(most, `${what} can be ${most} characters at most.`).nullable()

/** What the uploader answers about a video. `null` is a question that nobody has answered; '' leaves something out. */
export const sheetSchema = z.object({
  visibility: z.enum(['public', 'unlisted', 'private'], 'Choose public, unlisted or private.').nullable(),
  madeForChildren: yesNo,
  ageLimit: yesNo,
  paidPromotion: yesNo,
  category: words('A category', 100),
  recordedOn: z
    .union([z.iso.date('Give a date, year first, such as 2026-03-14.'), z.literal('')])
    .nullable()
    .default(null),
  recordedIn: words('A place', 200),
  licence: z.enum(['standard', 'reuse'], 'Choose the standard licence or reuse.').nullable(),
  embedding: yesNo,
  comments: z.enum(['open', 'reviewed', 'closed'], 'Choose open, reviewed or closed.').nullable(),
  ratingsShown: yesNo,
  notifySubscribers: yesNo,
  premiere: yesNo,
  monetised: yesNo,
  adverts: z.enum(['before', 'before-after', 'throughout'], 'Choose where adverts may stand.').nullable(),
  automaticCaptions: z.enum(['remove', 'keep'], 'Choose remove or keep.').nullable(),
})
export type SheetAnswers = z.infer<typeof sheetSchema>
export type QuestionId = keyof SheetAnswers

export const EMPTY_SHEET = Object.freeze(
  Object.fromEntries(Object.keys(sheetSchema.shape).map(id => [id, null])),
) as Readonly<SheetAnswers>

/** What the questions of the sheet are grouped by. */
export const QUESTION_GROUPS = [
  { id: 'watch', title: 'Who can watch' },
  { id: 'declare', title: 'What must be declared' },
  { id: 'others', title: 'What others can do' },
  { id: 'told', title: 'Notices' },
  { id: 'earns', title: 'What it earns' },
  { id: 'goes', title: 'What to remove' },
] as const
export type QuestionGroup = (typeof QUESTION_GROUPS)[number]['id']

export interface SheetQuestion {
  id: QuestionId
  group: QuestionGroup
  title: string
  /** What follows from the answer, in a sentence. */
  why: string
  /** The answers to choose from, or what is written instead. */
  answer: readonly { value: string | boolean; label: string }[] | 'text' | 'date'
  /** For what is written: what leaving it out is called. */
  leftOut?: string
  right?: ChannelRight
}

const YES_NO = [
  { value: true, label: 'Yes' },
  { value: false, label: 'No' },
] as const

/** The questions in the order in which they are asked. */
export const SHEET_QUESTIONS: readonly SheetQuestion[] = [
  {
    id: 'visibility',
    group: 'watch',
    title: 'Visible to',
    why: 'Only a public video is found by searching.',
    answer: [
      { value: 'public', label: 'Everybody' },
      { value: 'unlisted', label: 'Anyone with the link' },
      { value: 'private', label: 'Only me' },
    ],
  },
  {
    id: 'madeForChildren',
    group: 'watch',
    title: 'Made for children',
    why: 'Most countries require an answer. Yes closes the comments and switches cards and end screen off.',
    answer: YES_NO,
  },
  {
    id: 'ageLimit',
    group: 'watch',
    title: 'For adults only',
    why: 'Yes hides it from everybody who is not signed in as an adult.',
    answer: YES_NO,
  },
  {
    id: 'paidPromotion',
    group: 'declare',
    title: 'Somebody paid for a mention',
    why: 'Money, a present or a loan for a mention has to be declared.',
    answer: YES_NO,
  },
  {
    id: 'category',
    group: 'declare',
    title: 'Category',
    why: 'Some sites place a video beside others of its category.',
    answer: 'text',
    leftOut: 'None',
  },
  {
    id: 'recordedOn',
    group: 'declare',
    title: 'Filmed on',
    why: 'Tells viewers how current it is.',
    answer: 'date',
    leftOut: 'Leave out',
  },
  {
    id: 'recordedIn',
    group: 'declare',
    title: 'Filmed in',
    why: 'Helps people who search near a place.',
    answer: 'text',
    leftOut: 'Leave out',
  },
  {
    id: 'licence',
    group: 'others',
    title: 'Licence',
    why: 'Reuse lets others cut it into videos of their own, naming you.',
    answer: [
      { value: 'standard', label: 'Standard' },
      { value: 'reuse', label: 'Reuse allowed' },
    ],
  },
  {
    id: 'embedding',
    group: 'others',
    title: 'Shown on other sites',
    why: 'Yes lets pages, forums and newsletters show it.',
    answer: YES_NO,
  },
  {
    id: 'comments',
    group: 'others',
    title: 'Comments',
    why: 'Questions and answers below a video keep people on it.',
    answer: [
      { value: 'open', label: 'Open' },
      { value: 'reviewed', label: 'After review' },
      { value: 'closed', label: 'Closed' },
    ],
  },
  {
    id: 'ratingsShown',
    group: 'others',
    title: 'Likes shown',
    why: 'Viewers see how many liked it.',
    answer: YES_NO,
  },
  {
    id: 'notifySubscribers',
    group: 'told',
    title: 'Notice to subscribers',
    why: 'Several in one day tire them: choose No for all videos but one.',
    answer: YES_NO,
  },
  {
    id: 'premiere',
    group: 'told',
    title: 'As a premiere',
    why: 'Everybody watches it together at its hour, with a chat.',
    answer: YES_NO,
  },
  {
    id: 'monetised',
    group: 'earns',
    title: 'With adverts',
    why: 'Needs a channel that the site lets earn.',
    answer: YES_NO,
    right: 'monetise',
  },
  {
    id: 'adverts',
    group: 'earns',
    title: 'Adverts stand',
    why: 'Adverts in the middle earn more and make some viewers leave.',
    answer: [
      { value: 'before', label: 'Before it' },
      { value: 'before-after', label: 'Before and after' },
      { value: 'throughout', label: 'Within it too' },
    ],
    right: 'monetise',
  },
  {
    id: 'automaticCaptions',
    group: 'goes',
    title: 'Automatic captions',
    why: 'Beside captions of your own they only show mistakes.',
    answer: [
      { value: 'remove', label: 'Remove' },
      { value: 'keep', label: 'Keep' },
    ],
  },
]

/** An answer in words; `null` where there is none. */
export function answerInWords({ answer, leftOut }: SheetQuestion, value: string | boolean | null): string | null {
  if (value === null) return null
  if (typeof answer === 'string') return value === '' ? leftOut! : String(value)
  return answer.find(each => each.value === value)?.label ?? null
}

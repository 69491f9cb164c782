import type { BriefFields } from '../brief/brief'
import { done, na, notAllowed, open, unanswered, type Found } from './point'
import { LACKING, type ChannelRight } from './rights'
import { answerInWords, SHEET_QUESTIONS, type QuestionId, type SheetQuestion } from './sheet'

/** Why a question does not apply to a brief; `null` where it does. */
const MOOT: Partial<Record<QuestionId, (fields: BriefFields) => string | null>> = {
  notifySubscribers: ({ sheet }) =>
    sheet.visibility !== null && sheet.visibility !== 'public'
      ? 'Subscribers get a notice of public videos only.'
      : null,
  premiere: ({ sheet, releaseAt }) =>
    sheet.visibility !== null && sheet.visibility !== 'public'
      ? 'Only a public video can be a premiere.'
      : releaseAt === 'now'
        ? 'A premiere needs an hour.'
        : null,
  adverts: ({ sheet }) =>
    sheet.monetised === true
      ? null
      : sheet.monetised === false
        ? 'There are no adverts.'
        : 'Answer first whether there are adverts.',
  comments: ({ sheet }) => (sheet.madeForChildren === true ? 'Videos made for children have no comments.' : null),
  automaticCaptions: ({ captions }) => (captions.trim() ? null : 'There are no captions of your own yet.'),
}

/** What contradicts an answer; `null` where nothing does. */
const AGAINST: Partial<Record<QuestionId, (fields: BriefFields) => string | null>> = {
  visibility: ({ sheet, forSearch }) =>
    forSearch && sheet.visibility !== 'public' ? 'Only a public video is found by searching.' : null,
  ageLimit: ({ sheet }) =>
    sheet.ageLimit && sheet.madeForChildren ? 'It cannot be for adults only and made for children.' : null,
  automaticCaptions: ({ sheet }) =>
    sheet.automaticCaptions === 'keep' ? 'Captions of your own are in: the automatic ones only show mistakes.' : null,
}

/** How a question of the sheet stands. @param rights what the account may do; `null` where nobody told. */
export function questionState(
  question: SheetQuestion,
  fields: BriefFields,
  rights: readonly ChannelRight[] | null,
): Found {
  const { id, right, why } = question
  const value = fields.sheet[id] ?? null
  const lacking = right !== undefined && rights !== null && !rights.includes(right)
  // Doing without what is not allowed is an answer like any other.
  if (lacking && value !== false) return notAllowed(LACKING[right])
  const moot = MOOT[id]?.(fields)
  if (moot) return na(moot)
  const told = answerInWords(question, value)
  if (told === null) return unanswered(why)
  const against = AGAINST[id]?.(fields)
  return against ? open(against) : done(told)
}

/**
 * Whether a question other than that of the captions is left unanswered or open.
 * @param fields may lack the captions. @param off ids of points that are not asked for.
 */
export const questionsLeft = (
  fields: BriefFields,
  rights: readonly ChannelRight[] | null,
  off: ReadonlySet<string>,
): boolean =>
  SHEET_QUESTIONS.some(
    question =>
      question.id !== 'automaticCaptions' &&
      !off.has(question.id) &&
      ['open', 'unanswered'].includes(questionState(question, fields, rights).state),
  )

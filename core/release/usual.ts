import { SHEET_QUESTIONS, type QuestionId, type SheetAnswers } from './sheet'

/** An answer that was always given of late, and how often. */
export interface UsualAnswer {
  value: string | boolean
  times: number
}
export type UsualAnswers = Partial<Record<QuestionId, UsualAnswer>>

/** Sheets looked back on, and how often an answer must have been given to be called usual. */
export const LOOKED_BACK = 12
const LEAST = 2
/** What is of one video alone. */
const OF_ITS_OWN: readonly QuestionId[] = ['recordedOn']

/** What a channel always answers: offered for the next video, never taken unasked. @param sheets newest first. */
export function usualAnswers(sheets: readonly SheetAnswers[]): UsualAnswers {
  const usual: UsualAnswers = {}
  for (const { id } of SHEET_QUESTIONS) {
    if (OF_ITS_OWN.includes(id)) continue
    const given = sheets.flatMap(sheet => (sheet[id] ?? null) as string | boolean | null).filter(each => each !== null)
    const [first] = given
    if (first !== undefined && given.length >= LEAST && given.every(each => each === first))
      usual[id] = { value: first, times: given.length }
  }
  return usual
}

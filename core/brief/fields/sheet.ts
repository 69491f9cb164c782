import { answerInWords, EMPTY_SHEET, SHEET_QUESTIONS, sheetSchema, type SheetAnswers } from '../../release/sheet'
import { choiceField } from '../field'

const lines = (answers: SheetAnswers) =>
  SHEET_QUESTIONS.flatMap(question => {
    const told = answerInWords(question, answers[question.id] ?? null)
    return told === null ? [] : [`${question.title}: ${told}`]
  }).join('\n')

/** What is answered about the video for its release. */
export const sheet = choiceField<SheetAnswers>({
  label: 'Release sheet',
  schema: sheetSchema,
  empty: EMPTY_SHEET,
  shown: lines,
  exported: value => [{ heading: 'Release sheet', text: lines(value) }],
})

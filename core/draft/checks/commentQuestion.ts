import { textFix } from '../draft'
import { defineCheck, inField, met, missing, notApplicable } from '../check'
import { questionsOf } from '../questions'
import { viewerQuestion } from '../wording'

/** The description asks a question that viewers can answer in a comment. */
export const commentQuestion = defineCheck({
  id: 'comment-question',
  version: 1,
  field: 'description',
  question: 'chosen',
  title: 'Question for the comments',
  why: 'A question that is easy to answer brings comments, and comments bring the words of viewers.',
  needs: ['description'],
  settings: {},
  run: ({ draft, language }) => {
    const text = draft.description!
    if (!text.trim()) return notApplicable('Nothing written yet.')
    const questions = questionsOf(text)
    if (questions.length) return met('There is a question to answer.', { ranges: inField('description', questions) })
    const question = viewerQuestion(language)
    return missing('No question. Ask something that a viewer can answer in a sentence.', {
      fixes: () =>
        question === null
          ? []
          : [textFix('Add a question at the end', 'description', text, `${text.trimEnd()}\n\n${question}`)],
    })
  },
})

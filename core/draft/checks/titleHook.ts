import { defineCheck, inField, met, missing, notApplicable } from '../check'
import { listedWords, reasonWords } from '../wordLists'

const SIGNS = /\p{N}+|[?？]|[([][^()[\]]{3,}[)\]]/gu

/** Besides the phrase, the title holds something to click for. */
export const titleHook = defineCheck({
  id: 'title-hook',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'A reason to click',
  why: 'Every title of the page holds the phrase; a number, a question, an outcome or a contrast tells yours apart.',
  needs: ['title'],
  settings: {},
  run: ({ draft, at, language }) => {
    const title = draft.title!
    const { text } = at('title')[0]!
    if (!text.norms.length) return notApplicable('Nothing written yet.')
    const reasons = reasonWords(language)
    const found = [
      ...[...title.matchAll(SIGNS)].map(({ index, 0: { length } }) => ({ start: index, end: index + length })),
      ...listedWords(text, reasons),
    ]
    if (found.length) return met('There is something to click for.', { ranges: inField('title', found) })
    if (!reasons) return notApplicable('No number and no question; words are not checked in this language.')
    return missing('Nothing but the subject. Add a number, a question, an outcome or a contrast.')
  },
})

import { defineCheck, inField, met, missing, notApplicable } from '../check'
import { formatWords, listedWords } from '../wordLists'

/** The title names what kind of video it is: a review, a tutorial, tips. */
export const titleFormat = defineCheck({
  id: 'title-format',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'Kind of video named in the title',
  why: 'Many searches end in a word such as tutorial, review or tips, and viewers look for it.',
  needs: ['title'],
  settings: {},
  run: ({ at, language }) => {
    const formats = formatWords(language)
    if (!formats) return notApplicable('Not checked in this language.')
    const { text } = at('title')[0]!
    if (!text.norms.length) return notApplicable('Nothing written yet.')
    const found = listedWords(text, formats)
    if (found.length) return met('The title says what kind of video it is.', { ranges: inField('title', found) })
    return missing(`No word such as ${[...formats].slice(1, 4).join(', ')}. Add the one that fits.`)
  },
})

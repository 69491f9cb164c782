import { defineCheck, inField, met, missing, notApplicable, partly } from '../check'
import { hashtagsOf } from '../hashtags'
import { linksOf } from '../links'
import { openingOf } from '../places'

/** What a result shows of the description is text for its reader, not links and hashtags. */
export const openingPlain = defineCheck({
  id: 'opening-plain',
  version: 1,
  field: 'description',
  question: 'chosen',
  title: 'Opening without links and hashtags',
  why: 'A result shows only the opening; a link there cannot be clicked and takes the room of a reason to watch.',
  needs: ['description'],
  settings: {},
  run: ({ draft, profile }) => {
    const opening = openingOf(draft.description!, profile)
    if (!opening.trim()) return notApplicable('Nothing written yet.')
    const found = [
      ...linksOf(opening).map(({ start, end }) => ({ start, end })),
      ...hashtagsOf(opening).map(({ start, text }) => ({ start, end: start + text.length })),
    ]
    if (!found.length) return met('The opening is all text.')
    const taken = found.reduce((sum, { start, end }) => sum + end - start, 0) / opening.length
    const said = 'Links or hashtags take up the opening. Move them further down.'
    const ranges = inField('description', found)
    return taken > 0.5 ? missing(said, { ranges }) : partly(0.6 * (1 - taken), said, { ranges })
  },
})

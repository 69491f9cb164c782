import { counted } from '../../text/inWords'
import { defineCheck, inField, met, missing, notApplicable, partly } from '../check'
import { textFix, type Fix } from '../draft'
import { hashtagFor, hashtagsOf, withHashtag } from '../hashtags'
import { wholeNumber } from '../settings'

/** As many hashtags as are of use. */
export const hashtagCount = defineCheck({
  id: 'hashtag-count',
  version: 1,
  field: 'description',
  question: 'found',
  title: 'Number of hashtags',
  why: 'The first few are shown above the title and lead to a page of their own; many of them look like spam.',
  needs: ['description'],
  settings: { least: wholeNumber('At least', 1, 0, 60), most: wholeNumber('At most', 5, 0, 60) },
  run: ({ draft, lead, language, settings: { least, most } }) => {
    const text = draft.description!
    if (!text.trim()) return notApplicable('Nothing written yet.')
    const found = hashtagsOf(text)
    const used = found.length
    const ranges = inField(
      'description',
      found.map(({ start, text }) => ({ start, end: start + text.length })),
    )
    if (used < least) {
      const said = used
        ? `${counted(used, 'hashtag')}, fewer than the ${least} this rule set asks for.`
        : 'No hashtags yet. Add one for the subject.'
      const tag = lead ? hashtagFor(lead.raw, language) : ''
      const fixes = (): Fix[] =>
        tag && found.every(each => each.text.toLowerCase() !== tag.toLowerCase())
          ? [textFix(`Add ${tag}`, 'description', text, withHashtag(text, tag))]
          : []
      return used ? partly(used / least, said, { ranges, fixes }) : missing(said, { fixes })
    }
    if (used > most)
      return partly(most / used, `${counted(used, 'hashtag')}, more than the ${most} this rule set allows.`, {
        ranges: ranges.slice(most),
      })
    return used ? met(`${counted(used, 'hashtag')}.`, { ranges }) : notApplicable('No hashtags.')
  },
})

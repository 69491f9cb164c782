import { counted } from '../../text/inWords'
import { defineCheck, met, notApplicable, partly } from '../check'
import { wholeNumber } from '../settings'

/** The title has neither too few words to say something nor too many to be read at a glance. */
export const titleWords = defineCheck({
  id: 'title-words',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'Number of words in the title',
  why: 'A viewer reads a title in a second; one of two words says little, one of twenty is not read.',
  needs: ['title'],
  settings: { least: wholeNumber('At least', 5, 1, 100), most: wholeNumber('At most', 14, 1, 100) },
  run: ({ at, settings: { least, most } }) => {
    const { norms, starts, raw } = at('title')[0]!.text
    const used = norms.length
    if (!used) return notApplicable('Nothing written yet.')
    const said = counted(used, 'word')
    if (used < least) return partly(used / least, `${said}, fewer than the ${least} this rule set asks for.`)
    if (used > most)
      return partly(1 - (used - most) / most, `${said}, more than the ${most} this rule set allows.`, {
        ranges: [{ field: 'title', start: starts[most]!, end: raw.length }],
      })
    return met(`${said}, within ${least} to ${most}.`)
  },
})

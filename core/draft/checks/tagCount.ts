import { counted } from '../../text/inWords'
import { defineCheck, met, partly } from '../check'
import { wholeNumber } from '../settings'
import { tidyTags } from '../limits'

/** The number of tags is what the rule set wants. */
export const tagCount = defineCheck({
  id: 'tag-count',
  version: 1,
  field: 'tags',
  question: 'found',
  title: 'Number of tags',
  why: 'Some creators fill the whole field, others use a few close tags. The rule set decides.',
  needs: ['tags'],
  settings: {
    least: wholeNumber('At least', 8, 0, 500),
    most: wholeNumber('At most', 30, 1, 500),
  },
  run: ({ draft, settings }) => {
    const number = tidyTags(draft.tags!).length
    const { least, most } = settings
    const tags = counted(number, 'tag')
    if (number < least) return partly(number / least, `${tags}; this rule set asks for ${least} or more.`)
    if (number > most) return partly(most / number, `${tags}; this rule set allows ${most}.`)
    return met(`${tags}, within ${least} to ${most}.`)
  },
})

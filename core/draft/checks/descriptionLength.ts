import { count } from '../../text/count'
import { defineCheck, met, notApplicable, partly } from '../check'
import { wholeNumber } from '../settings'

/** The description is as long as the rule set wants it. */
export const descriptionLength = defineCheck({
  id: 'description-length',
  version: 1,
  field: 'description',
  question: 'found',
  title: 'Length of the description',
  why: 'A longer description has room for more phrases, but few viewers read a very long one. The rule set decides.',
  needs: ['description'],
  settings: {
    least: wholeNumber('At least', 600, 0, 20_000),
    most: wholeNumber('At most', 5000, 1, 20_000),
  },
  run: ({ draft, settings }) => {
    const used = count(draft.description!.trim(), 'codePoints')
    if (!used) return notApplicable('Nothing written yet.')
    const { least, most } = settings
    if (used < least)
      return partly(
        used / least,
        `${used} characters; this rule set asks for ${least} or more. Describe what the video shows, step by step.`,
      )
    if (used > most) return partly(most / used, `${used} characters; this rule set allows ${most}.`)
    return met(`${used} characters, within ${least} to ${most}.`)
  },
})

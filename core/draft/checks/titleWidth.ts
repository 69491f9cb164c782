import { count } from '../../text/count'
import { defineCheck, met, notApplicable, partly } from '../check'
import { oneOf, wholeNumber } from '../settings'

/** Use of the title's width: short, or as much as says something, by rule set. */
export const titleWidth = defineCheck({
  id: 'title-width',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'Title length for this style',
  why: 'Some creators keep to what a phone shows, others use the full length. The rule set decides.',
  needs: ['title'],
  settings: {
    aim: oneOf('Aim for', 'long', { long: 'a full title', short: 'a short title' }),
    least: wholeNumber('At least', 45, 0, 1000),
    most: wholeNumber('At most', 100, 1, 1000),
  },
  run: ({ draft, settings, profile }) => {
    const used = count(draft.title!.trim(), profile.title.unit)
    if (!used) return notApplicable('Nothing written yet.')
    const { least, most, aim } = settings
    if (used < least) {
      const room = profile.title.limit - used
      return partly(
        used / least,
        `${used} characters, ${least - used} fewer than this rule set asks for. ${aim === 'long' ? `There is room for ${room} more: add a number, a result or a promise.` : 'Add a little more.'}`,
      )
    }
    if (used > most) {
      return partly(
        1 - (used - most) / most,
        `${used} characters, ${used - most} more than this rule set allows. Shorten it.`,
        { ranges: [{ field: 'title', start: Math.min(most, draft.title!.length), end: draft.title!.length }] },
      )
    }
    return met(`${used} characters, within ${least} to ${most}.`)
  },
})

import { counted, inDigits } from '../../text/inWords'
import { defineCheck, met, missing, notApplicable, partly } from '../check'
import { tagKey } from '../limits'
import { wholeNumber } from '../settings'

/** The tags are searched for, all together. */
export const tagSearches = defineCheck({
  id: 'tag-searches',
  version: 1,
  field: 'tags',
  question: 'found',
  title: 'Searches the tags carry',
  why: 'A tag that nobody types finds nobody; together they should be words that people search for.',
  needs: ['tags'],
  settings: { least: wholeNumber('Searches a month together, at least', 1000, 1, 1_000_000_000) },
  run: ({ draft, context: { searches }, settings: { least } }) => {
    const keys = [...new Set(draft.tags!.map(tagKey))].filter(Boolean)
    const known = keys.filter(key => searches[key] !== undefined)
    if (!known.length) return notApplicable('Searches of these tags are unknown.')
    // Estimates are no whole numbers; what is told is.
    const sum = Math.round(known.reduce((total, key) => total + searches[key]!, 0))
    const unknown = keys.length - known.length
    const said = `${inDigits(sum)} searches a month together${unknown ? `; ${counted(unknown, 'tag')} of ${keys.length} unknown` : ''}.`
    if (sum >= least) return met(said)
    const more = `${said} This rule set asks for ${inDigits(least)}. Add tags that are searched for more.`
    return sum ? partly(Math.log1p(sum) / Math.log1p(least), more) : missing(more)
  },
})

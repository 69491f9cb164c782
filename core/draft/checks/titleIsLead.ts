import { counted } from '../../text/inWords'
import { count } from '../../text/count'
import { asSentence, defineCheck, inField, met, missing, partly } from '../check'
import { textFix, type Fix } from '../draft'

/** The title is the lead phrase and nothing else. */
export const titleIsLead = defineCheck({
  id: 'title-is-lead',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'The title is exactly the lead',
  why: 'A title that repeats the search exactly leaves no doubt that it matches.',
  needs: ['lead', 'title'],
  settings: {},
  run: ({ draft, lead, profile, language, at, match }) => {
    const text = at('title')[0]!.text
    const found = match(lead!, text)
    const value = asSentence(lead!.raw, language)
    const fixes = (): Fix[] =>
      count(value, profile.title.unit) <= profile.title.limit
        ? [textFix('Use the lead as the title', 'title', draft.title!, value)]
        : []
    if (found.grade !== 'exact' && found.grade !== 'inflected')
      return missing(draft.title!.trim() ? 'The title is something else.' : 'There is no title yet.', { fixes })
    const extra = text.norms.length - lead!.norms.length
    const ranges = inField('title', found.ranges)
    if (extra === 0)
      return found.grade === 'exact'
        ? met('The title is the lead, word for word.', { ranges })
        : partly(0.9, 'The title is the lead with different word endings.', { ranges, fixes })
    return partly(Math.max(0.1, 0.7 - 0.1 * extra), `Has ${counted(extra, 'word')} more than the lead.`, {
      ranges,
      fixes,
    })
  },
})

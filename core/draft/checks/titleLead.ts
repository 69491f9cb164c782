import { span } from '../../text/match'
import { defineCheck, inField, met, missing, partly } from '../check'
import { leadFirst } from '../titleFixes'

/** How well the lead phrase stands in the title. */
export const titleLead = defineCheck({
  id: 'title-lead',
  version: 1,
  field: 'title',
  question: 'found',
  title: 'Lead phrase in the title',
  why: 'The title weighs most in what a search is matched against.',
  needs: ['lead', 'title'],
  settings: {},
  run: ({ draft, lead, profile, at, match }) => {
    const found = match(lead!, at('title')[0]!.text)
    const ranges = inField('title', found.ranges)
    const fixes = leadFirst(draft.title!, lead!, profile)
    const where = span(found)
    switch (found.grade) {
      case 'exact': return met(`Stands word for word from character ${where!.start + 1}.`, { ranges })
      case 'inflected': return partly(0.9, 'Stands with other word endings. Searchers type it as the lead has it.', { ranges, fixes })
      case 'ordered': return partly(0.7, 'Its words stand in order with others between. Close the gap.', { ranges, fixes })
      case 'scattered': return partly(0.5, 'Its words are all there, but apart or in another order.', { ranges, fixes })
      case 'fragment': return partly(0.3 * found.share, `Only ${Math.round(found.share * 100)} % of its words are there.`, { ranges, fixes })
      case 'none': return missing('Is not in the title. Write it in.', { fixes })
    }
  },
})

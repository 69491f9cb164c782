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
  why: 'Search gives the title the most weight.',
  needs: ['lead', 'title'],
  settings: {},
  run: ({ draft, lead, profile, at, match }) => {
    const found = match(lead!, at('title')[0]!.text)
    const ranges = inField('title', found.ranges)
    const fixes = () => leadFirst(draft.title!, lead!, profile)
    const where = span(found)
    switch (found.grade) {
      case 'exact':
        return met(`The lead is in the title word for word, from character ${where!.start + 1}.`, { ranges })
      case 'inflected':
        return partly(
          0.9,
          'The lead is in the title with different word endings. People search for it as written in the lead.',
          { ranges, fixes },
        )
      case 'ordered':
        return partly(
          0.7,
          'The words of the lead are in order, but with other words between them. Move them together.',
          { ranges, fixes },
        )
      case 'scattered':
        return partly(0.5, 'All words of the lead are there, but apart or in a different order.', { ranges, fixes })
      case 'fragment':
        return partly(0.3 * found.share, `The title has only ${Math.round(found.share * 100)} % of the lead’s words.`, {
          ranges,
          fixes,
        })
      case 'none':
        return missing('The lead is not in the title. Add it.', { fixes })
    }
  },
})

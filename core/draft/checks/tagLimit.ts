import { counted } from '../../text/inWords'
import { defineCheck, met, missing } from '../check'
import { tagsCost, tidyTags } from '../limits'

/** Tags are there and within the site's limit. */
export const tagLimit = defineCheck({
  id: 'tag-limit',
  version: 1,
  field: 'tags',
  question: 'sound',
  title: 'Tags within their limit',
  why: 'Over the limit, the site rejects the whole list.',
  needs: ['tags'],
  settings: {},
  run: ({ draft, profile }) => {
    const tags = draft.tags!
    const { limit } = profile.tags
    if (!tags.length) return missing('There are no tags yet. Start with the lead.')
    const used = tagsCost(tags, profile)
    if (used <= limit) return met(`${used} of ${limit} characters.`)
    const over = used - limit
    const kept = tidyTags(tags)
    while (kept.length && tagsCost(kept, profile) > limit) kept.pop()
    return missing(`${counted(over, 'character')} over the limit of ${limit}. Remove some.`, {
      fixes: () => [
        {
          label: `Keep the first ${kept.length} that fit`,
          field: 'tags',
          edits: [{ item: 0, remove: tags.length, insert: kept }],
        },
      ],
    })
  },
})

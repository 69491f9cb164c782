import { count, head } from '../../text/count'
import { defineCheck, met, missing } from '../check'
import { inDigits } from '../../text/inWords'

/** The description is there and within the site's limit. */
export const descriptionLimit = defineCheck({
  id: 'description-limit',
  version: 1,
  field: 'description',
  question: 'sound',
  title: 'Description within its limit',
  why: 'The site rejects a description over its limit. Without one, search has only the title.',
  needs: ['description'],
  settings: {},
  run: ({ draft, profile }) => {
    const text = draft.description!
    const { limit, unit } = profile.description
    if (!text.trim()) return missing('There is no description yet. Write one.')
    const used = count(text, unit)
    const over = used - limit
    const name = unit === 'bytes' ? 'bytes' : 'characters'
    if (used <= limit) return met(`${inDigits(used)} of ${inDigits(limit)} ${name}.`)
    const kept = head(text, limit, unit)
    return missing(
      `${inDigits(over)} ${over === 1 ? name.slice(0, -1) : name} over the limit of ${inDigits(limit)}. Shorten it.`,
      {
        ranges: [{ field: 'description', start: kept.length, end: text.length }],
      },
    )
  },
})

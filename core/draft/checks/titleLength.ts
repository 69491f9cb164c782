import { count, head } from '../../text/count'
import { defineCheck, met, missing } from '../check'

/** A text without the word it ends in, or whole where it is one word. */
function wholeWords(text: string): string {
  let end = text.length
  while (end > 0 && !/\s/u.test(text[end - 1]!)) end--
  return text.slice(0, end).trimEnd() || text
}

/** The title is there and within the site's limit. */
export const titleLength = defineCheck({
  id: 'title-length',
  version: 1,
  field: 'title',
  question: 'sound',
  title: 'Title within its limit',
  why: 'A site cuts or refuses a title past its limit, and refuses an empty one.',
  needs: ['title'],
  settings: {},
  run: ({ draft, profile }) => {
    const title = draft.title!
    const { limit, unit } = profile.title
    if (!title.trim()) return missing('There is no title yet. Write one.')
    const used = count(title, unit)
    if (used <= limit) return met(`${used} of ${limit} characters.`)
    const kept = head(title, limit, unit)
    return missing(`${used - limit} characters over the limit of ${limit}. Shorten it.`, {
      ranges: [{ field: 'title', start: kept.length, end: title.length }],
      fixes: [{ label: 'Cut at the last whole word', field: 'title', value: wholeWords(kept) }],
    })
  },
})

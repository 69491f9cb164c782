import { counted } from '../../text/inWords'
import { count, head } from '../../text/count'
import { defineCheck, met, missing } from '../check'
import { textFix } from '../draft'
import { CURLED_PAIRS, PAIRS } from '../pairs'

/** A text without what an opening bracket or mark begins that is never closed. */
function closed(text: string): string {
  for (const [open, close] of [...PAIRS, ...CURLED_PAIRS]) {
    const at = text.lastIndexOf(open)
    if (at > 0 && text.indexOf(close, at + 1) < 0) return closed(text.slice(0, at).trimEnd())
  }
  return text
}

/** A text without the word it ends in, or whole where it is one word. */
function wholeWords(text: string): string {
  let end = text.length
  while (end > 0 && !/\s/u.test(text[end - 1]!)) end--
  return closed(text.slice(0, end).trimEnd()) || text
}

/** The title is there and within the site's limit. */
export const titleLength = defineCheck({
  id: 'title-length',
  version: 1,
  field: 'title',
  question: 'sound',
  title: 'Title within its limit',
  why: 'The site cuts or rejects a title over its limit, and rejects an empty one.',
  needs: ['title'],
  settings: {},
  run: ({ draft, profile }) => {
    const title = draft.title!
    const { limit, unit } = profile.title
    if (!title.trim()) return missing('There is no title yet. Write one.')
    const used = count(title, unit)
    if (used <= limit) return met(`${used} of ${limit} characters.`)
    const kept = head(title, limit, unit)
    const over = used - limit
    return missing(`${counted(over, 'character')} over the limit of ${limit}. Shorten it.`, {
      ranges: [{ field: 'title', start: kept.length, end: title.length }],
      fixes: () => [textFix('Cut at the last whole word', 'title', title, wholeWords(kept))],
    })
  },
})

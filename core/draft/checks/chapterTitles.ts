import { count } from '../../text/count'
import { listed } from '../../text/inWords'
import { words } from '../../text/words'
import { chaptersOf } from '../../chapters/lines'
import { defineCheck, met, notApplicable, partly } from '../check'
import { wholeNumber } from '../settings'

/** A title that only counts: part 2, step 3, capítulo 4. */
const COUNTING = /^(?:\p{L}{1,12}\s?)?\p{N}{1,3}[.:)]?$/u

/** Chapter titles say what comes, and are shown whole. */
export const chapterTitles = defineCheck({
  id: 'chapter-titles',
  version: 1,
  field: 'description',
  question: 'chosen',
  title: 'Chapter titles that say something',
  why: 'Viewers jump to what they came for; a long title is cut.',
  needs: ['description'],
  settings: { most: wholeNumber('Characters at most', 40, 10, 100) },
  run: ({ draft, settings }) => {
    const chapters = chaptersOf(draft.description!)
    if (!chapters.length) return notApplicable('No chapters in the description.')
    const poor = chapters.filter(
      ({ title }) => !words(title).length || COUNTING.test(title) || count(title, 'graphemes') > settings.most,
    )
    if (!poor.length) return met('Every chapter title says what comes.')
    const ranges = poor.map(({ titleStart, title }) => ({
      field: 'description' as const,
      start: titleStart,
      end: titleStart + title.length,
    }))
    const named = listed(poor.slice(0, 3).map(({ title }) => (title ? `“${title}”` : 'one without a title')))
    return partly(
      1 - poor.length / chapters.length,
      `Empty, only counted, or longer than ${settings.most}: ${named}.`,
      { ranges },
    )
  },
})

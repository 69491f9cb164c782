import type { PhraseStore } from '../data/phrases'
import type { ResultStore } from '../data/results'
import { PAGE_SEATS } from '../../core/rivals/difficulty'

/**
 * Titles on the result pages kept of phrases, each once; nothing is asked of a service.
 *
 * @param region '' for everywhere.
 */
export function pageTitles(
  { phrases, results }: { phrases: PhraseStore; results: ResultStore },
  list: readonly string[],
  region: string,
  language: string,
): string[] {
  const titles = new Set<string>()
  for (const phrase of list) {
    const known = phrases.known(phrase, region, language)
    const page = known && results.effective(known.id, region)
    if (page) for (const seat of results.seats(page, PAGE_SEATS)) titles.add(seat.title)
  }
  return [...titles]
}

import { phraseKey } from '../../core/text/words'
import type { ResultsQuery } from '../../shared/rivals'
import type { PhraseStore } from '../data/phrases'
import type { ResultStore, SavedPage } from '../data/results'
import { Problem } from '../http/problem'

/** The page of a phrase as it was kept on a day, UTC. @throws Problem 404 where none of that day is kept. */
export function pageOfDay(
  { phrases, results }: { phrases: Pick<PhraseStore, 'known'>; results: Pick<ResultStore, 'ofDay'> },
  { phrase, region, language, from }: ResultsQuery,
  day: string,
): SavedPage {
  const known = phrases.known(phraseKey(phrase), region ?? '', language)
  const page = known && results.ofDay(known.id, region ?? '', from, Date.parse(`${day}T00:00:00Z`))
  if (page) return page
  throw new Problem(404, 'no-page', 'No page of this day is kept: older pages are thinned out. Its ranks stay.')
}

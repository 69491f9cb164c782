import { background, pageWords, WORD_PLACES, type WordSource } from '../../core/rivals/lift'
import type { WordsAnswer } from '../../shared/rivals'
import type { PhraseStore } from '../data/phrases'
import type { SavedPage, ResultStore, SeatRow } from '../data/results'

/** Words listed for each place. */
const SHOWN = 60

const source = (seat: SeatRow): WordSource & { id: string } => ({
  id: seat.code,
  rank: seat.rank,
  title: seat.title,
  description: seat.description,
  tags: seat.tags === null ? null : (JSON.parse(seat.tags) as string[]),
})

/**
 * The words of a page against those of neighbouring phrases' pages: pages that share most videos with
 * it among those kept in the region. Videos of the page itself are no neighbours of theirs.
 */
export function answerWords(
  { phrases, results }: { phrases: PhraseStore; results: ResultStore },
  page: SavedPage,
  phrase: string,
  language: string,
): WordsAnswer {
  const here = results
    .seats(page, 60)
    .filter(seat => !seat.off)
    .map(source)
  const own = new Set(here.map(each => each.id))
  const near = results.neighbours(page.id, page.region)
  const others = near
    .flatMap(({ phrase_id, page_id }) => results.seats({ id: page_id, phrase_id }, 20).map(source))
    .filter(each => !own.has(each.id))
  const terms = WORD_PLACES.flatMap(place =>
    pageWords(here, place, background(others, place, language), language).slice(0, SHOWN),
  )
  const volumes = new Map(
    [...new Set(terms.map(each => each.term))].map(term => [
      term,
      phrases.known(term, page.region, language)?.volume ?? null,
    ]),
  )
  return {
    phrase,
    results: here.length,
    neighbours: phrases.textsById(near.map(each => each.phrase_id)),
    words: terms.map(each => ({ ...each, volume: volumes.get(each.term) ?? null })),
  }
}

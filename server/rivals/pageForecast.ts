import { learntForecast, type Hurdles } from '../../core/chance/model'
import { forecast, RESULTS_READ, type Forecast } from '../../core/rivals/forecast'
import type { PhraseStore } from '../data/phrases'
import type { ResultStore, SavedPage, SeatRow } from '../data/results'
import type { OwnStanding } from '../demand/regionColumns'
import type { LearntModels } from './learntModels'

export interface PageForecastDeps {
  chances?: Pick<LearntModels, 'hurdles' | 'hurdlesAsRead'>
  phrases: Pick<PhraseStore, 'textsById'>
  results: Pick<ResultStore, 'effective' | 'seats'>
}

/** A page as it is judged: a misspelling by the page of the right spelling, which holds the same results. */
export interface JudgedPage {
  page: SavedPage
  /** The right spelling, where that is another one. */
  readAs: string | null
  /** All that was read and is on topic. */
  seats: SeatRow[]
  /** What it asks of a new video by what was learnt of the region; `null` where nothing was. */
  hurdles: Hurdles | null
  /** The same of some of its seats, to a depth. */
  asked: (seats: readonly SeatRow[], depth: number) => Hurdles | null
  /** How the channel's next video would stand on it; `null` where the page or the channel is not known. */
  ahead: Forecast | null
}

/** How a channel's next well-worded video would stand on a page. @param own `null` for no channel. */
export function pageForecast(
  { chances, phrases, results }: PageForecastDeps,
  page: SavedPage,
  own: OwnStanding | null,
  { phrase, language }: { phrase: string; language: string },
): JudgedPage {
  const effective = page.kind === 'site' ? results.effective(page.phrase_id, page.region) : null
  const judged = effective && effective.phrase_id !== page.phrase_id ? effective : page
  const readAs = judged === page ? null : phrases.textsById([judged.phrase_id])[0]!
  // All that was read takes part in the forecast, however much of it is shown.
  const seats = results.seats(judged, RESULTS_READ).filter(seat => !seat.off)
  const whole = page.complete === 1
  const more = judged.more === 1
  // By what was learnt of the region's pages, where something was; by fixed weights elsewhere.
  const learnt = page.kind === 'site' ? own?.learnt?.[page.region] : undefined
  const of = { page: judged, phrase: readAs ?? phrase, language }
  const asked: JudgedPage['asked'] = (some, depth) =>
    (some.length === seats.length
      ? chances?.hurdlesAsRead({ ...of, seats }, depth)
      : chances?.hurdles({ ...of, seats: some }, depth)) ?? null
  const depth = more ? RESULTS_READ : seats.length
  const hurdles = learnt && whole ? (chances?.hurdlesAsRead({ ...of, seats }, depth) ?? null) : null
  const ahead =
    learnt && hurdles
      ? learntForecast(learnt, hurdles, seats.length)
      : own && whole
        ? forecast(
            own.strength,
            seats.map(seat => seat.strength),
            more,
            own.spread,
          )
        : null
  return { page: judged, readAs, seats, hurdles, asked, ahead }
}

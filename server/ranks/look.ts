import { rankDay, type RankDay } from '../../core/ranks/standing'
import { keptPage, type AssessDeps } from '../demand/assess'
import { phraseKey } from '../../core/text/words'
import type { RankStore } from '../data/ranks'
import type { PageKind } from '../data/results'
import { isServiceFault } from '../services/retry'

/** The site is read this deep: three pages. */
export const RANK_DEPTH = 60

/** Said where the video may stand in the half that did not come. */
export const HALF = 'The site sent only a part of its results. Look again.'

export interface RankDeps extends AssessDeps {
  ranks: RankStore
  now: () => number
}
export interface RankLook {
  video: string
  phrase: string
  /** '' for everywhere. */
  region: string
  language: string
  kind: PageKind
  /** The channel whose other videos on the page are kept as well; `null` for none. */
  channel: string | null
}
export interface LookedUp {
  /** What is known now; `null` where nobody could tell. */
  found: RankDay | null
  problem: string | null
}

/**
 * Looks where a video stands for a phrase now: on the page as it was read today, else on one that is asked for. The
 * page is kept as any other, and one look serves all videos of the channel that are on it or were ever looked up there.
 */
export async function lookAtRank(deps: RankDeps, { video, phrase, region, language, kind, channel }: RankLook) {
  const { results, phrases, ranks, now } = deps
  const key = phraseKey(phrase)
  const today = rankDay(now())
  const known = phrases.known(key, region, language)
  const before = known ? results.latest(known.id, region, kind) : null
  // Nobody asks for the same page twice a day; one that came in part may be asked for again.
  const isToday =
    before !== null &&
    rankDay(before.at) === today &&
    before.complete === 1 &&
    (kind === 'web' || before.depth >= RANK_DEPTH || before.more === 0)
  let problem: string | null = null
  let page = before
  if (!isToday)
    try {
      const kept = await keptPage(deps, key, region, language, RANK_DEPTH, kind, true)
      page = kept.page
      problem = kept.problem
    } catch (error) {
      if (!isServiceFault(error)) throw error
      problem = (error as Error).message
    }
  if (!page || (problem !== null && page.id === before?.id)) return { found: null, problem } satisfies LookedUp
  const seats = results.seats(page, RANK_DEPTH)
  const at = new Map(seats.map(seat => [seat.code, seat.rank]))
  const wanted = new Set([
    video,
    ...ranks.followed({ phraseId: page.phrase_id, region, kind }),
    ...seats.filter(seat => channel !== null && seat.channel_id === channel).map(seat => seat.code),
  ])
  const depth = kind === 'web' ? seats.length : page.depth
  const told = new Map(
    [...wanted]
      .map(code => [code, at.get(code) ?? null] as const)
      // On half a page a video that is not there may stand in the other half.
      .filter(([, rank]) => rank !== null || page.complete === 1),
  )
  const day = rankDay(page.at)
  ranks.save({ phraseId: page.phrase_id, region, kind }, day, told, depth)
  return {
    found: told.has(video) ? { day, rank: told.get(video)!, depth } : null,
    problem: problem ?? (told.has(video) ? null : HALF),
  } satisfies LookedUp
}

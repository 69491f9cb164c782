import { falseDiscovery } from '../statistics/falseDiscovery'
import { rankRelation } from '../statistics/rankRelation'

/** What became of a video, each the more the better. */
export const OUTCOMES = ['views', 'clickRate', 'rank'] as const
export type OutcomeKind = (typeof OUTCOMES)[number]

/** A video of one's own that is out, with what became of it. */
export interface VideoOutcome {
  /** Percent of the points of its texts under each rule set; `null` where there is none. */
  percents: readonly (number | null)[]
  /** When it came out, UTC milliseconds. */
  released: number
  /** Searches a month and difficulty of its lead; `null` where they are not known. */
  searches: number | null
  difficulty: number | null
  /** Views of the first 28 days; clicks an impression in them; `null` where too few days are known. */
  views: number | null
  clickRate: number | null
  /** Where it stood for its lead four weeks on, beyond what was read behind all of it; `null` where nobody looked. */
  rank: number | null
}

/** Whether points under a rule set go with an outcome. */
export interface PointsRelation {
  outcome: OutcomeKind
  /** Videos that it is told from. */
  n: number
  /** −1 to 1, with its 95 % interval; `null` where it cannot be told. */
  r: number | null
  low: number | null
  high: number | null
  /** The share of false alarms among all that are at least as telling. */
  q: number | null
  verdict: 'more' | 'none' | 'less' | 'few'
}

/** Fewer videos tell nothing. */
export const LEAST_OUTCOMES = 12
/** So many false alarms in a hundred are borne. */
const FALSE_ALARMS = 0.05

/**
 * Beside what else an outcome is told: a channel grows, so that later videos do better; a phrase that is searched more
 * brings more; one that is harder to win leaves its videos lower.
 */
const BESIDE: Record<OutcomeKind, (video: VideoOutcome) => (number | null)[]> = {
  views: ({ released, searches }) => [released, searches],
  clickRate: ({ released }) => [released],
  rank: ({ released, difficulty }) => [released, difficulty],
}

/**
 * Whether points mean anything for a channel: for each rule set how its points go with views, click rate and rank over
 * the channel’s own videos.
 *
 * @param sets how many rule sets. @returns for each set each outcome.
 */
export function pointsAndOutcomes(videos: readonly VideoOutcome[], sets: number): PointsRelation[][] {
  const found = Array.from({ length: sets }, (_, set) =>
    OUTCOMES.map(outcome => {
      const known = videos.flatMap(video => {
        const row = [video.percents[set] ?? null, video[outcome], ...BESIDE[outcome](video)]
        return row.includes(null) ? [] : [row as number[]]
      })
      const column = (i: number) => known.map(row => row[i]!)
      const others = BESIDE[outcome](videos[0] ?? EMPTY).map((_, i) => column(i + 2))
      const relation =
        known.length < LEAST_OUTCOMES
          ? null
          : // A smaller rank is a better one.
            rankRelation(column(0), outcome === 'rank' ? column(1).map(rank => -rank) : column(1), others)
      return { outcome, n: known.length, relation }
    }),
  )
  const q = falseDiscovery(found.flat().map(({ relation }) => relation?.p ?? null))
  let at = 0
  return found.map(set =>
    set.map(({ outcome, n, relation }) => {
      const share = q[at++]!
      const isClear = share !== null && share <= FALSE_ALARMS
      return {
        outcome,
        n,
        r: relation?.r ?? null,
        low: relation?.low ?? null,
        high: relation?.high ?? null,
        q: share,
        verdict: !relation ? 'few' : !isClear ? 'none' : relation.r > 0 ? 'more' : 'less',
      }
    }),
  )
}
const EMPTY: VideoOutcome = {
  percents: [],
  released: 0,
  searches: null,
  difficulty: null,
  views: null,
  clickRate: null,
  rank: null,
}

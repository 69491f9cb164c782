import { STRENGTH_WEIGHTS } from '../rivals/strength'
import { FAILS, PASSES, type PageReading } from './pageReading'

/** How alike two results are beside their wording: reach and pull, weighted as in strength; NaN where one is hidden. */
export const footing = (reach: number | null, pull: number | null): number =>
  reach === null || pull === null ? NaN : STRENGTH_WEIGHTS.reach * reach + STRENGTH_WEIGHTS.pull * pull

/** Two results whose footing is further apart are not compared. The whole scale is .55. */
const CALIPER = 0.03

/** What is known of the results of a page beside their wording, best rank first. */
export interface PageSeats {
  ranks: readonly number[]
  footings: readonly number[]
}

/** Pairs of a check on a page: how many, and the sum of their differences in ranks and in footing. */
export interface PairSums {
  pairs: number
  /** Ranks by which the result that passes stands higher, summed. */
  ranks: number
  /** How much better its footing is, summed: what is left of it within the caliper is taken off later. */
  footing: number
}

/**
 * Compares every result of a page that passes with every one that does not and has the same footing.
 *
 * @param check its place in the reading. @param taken whether a result counts, such as by its age.
 */
export function pairsOn(
  { ranks, footings }: PageSeats,
  reading: PageReading,
  check: number,
  taken?: readonly boolean[],
): PairSums {
  const seats = ranks.length
  const sums = { pairs: 0, ranks: 0, footing: 0 }
  const from = check * seats
  for (let i = 0; i < seats; i++) {
    if (reading[from + i] !== PASSES || (taken && !taken[i])) continue
    for (let j = 0; j < seats; j++) {
      if (reading[from + j] !== FAILS || (taken && !taken[j])) continue
      const apart = footings[i]! - footings[j]!
      // NaN, of a hidden figure, is not within it either.
      if (!(apart <= CALIPER && apart >= -CALIPER)) continue
      sums.pairs++
      sums.ranks += ranks[j]! - ranks[i]!
      sums.footing += apart
    }
  }
  return sums
}

/** Ranks gained with footing on a page: the sums of which a slope over all pages is made. */
export function slopeSums({ ranks, footings }: PageSeats): { along: number; square: number } {
  let [n, rank, foot] = [0, 0, 0]
  const isKnown = (i: number) => !isNaN(footings[i]!)
  for (let i = 0; i < ranks.length; i++) {
    if (!isKnown(i)) continue
    n++
    rank += ranks[i]!
    foot += footings[i]!
  }
  let [along, square] = [0, 0]
  for (let i = 0; i < ranks.length; i++) {
    if (!isKnown(i)) continue
    const apart = footings[i]! - foot / n
    along -= apart * (ranks[i]! - rank / n)
    square += apart * apart
  }
  return { along, square }
}

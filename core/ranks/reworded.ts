import type { Shares } from '../rivals/winnings'

/** What better words would bring a video for a phrase, in views a month. */
export interface Reworded {
  expected: number
  /** Nine times in ten it lies between these. */
  low: number
  high: number
}

/** Where a video stood; `rank` is `null` beyond the `depth` that was read. */
type Seen = { rank: number | null; depth: number }
const [LOW, HIGH] = [0.05, 0.95]
/** Ranks change from day to day by about this part of their value: 56 today may be 51 tomorrow. */
const DRIFT = 0.1

/** Chances of being at each rank or above. */
function reached(ranks: ArrayLike<number>): Float64Array {
  const sums = new Float64Array(ranks.length)
  let sum = 0
  for (let k = 0; k < ranks.length; k++) sums[k] = sum += ranks[k]!
  // Rounding must not leave a rest behind the last rank.
  if (sums.length) sums[sums.length - 1] = Math.max(1, sum)
  return sums
}

/**
 * What a change of wording brings a video that is out. What it does better or worse than its texts let expect stays as
 * it is: a video that stands at the luckiest tenth of its chances as worded stands at the luckiest tenth of those with
 * the other wording. A rank that was seen tells roughly how lucky it is, since ranks change from day to day; without
 * one, all luck is possible.
 *
 * @param before P(rank = k) at index k − 1 as it is worded, its last entry behind all others.
 * @param after the same with the other wording. @param searches a month.
 * @param seen where it stands; `null` where that is not known.
 */
export function rewordedViews(
  before: ArrayLike<number>,
  after: ArrayLike<number>,
  searches: number,
  shares: Shares,
  seen: Seen | null,
): Reworded {
  const [was, becomes] = [reached(before), reached(after)]
  const near = ranksNear(was.length, seen)
  const [from, to] = luckOf(was, near)
  const share = (at: number) => shares[at] ?? 0
  const parts: { gain: number; weight: number }[] = []
  let [i, k] = [was.findIndex(sum => sum > from), becomes.findIndex(sum => sum > from)]
  for (let at = from; at < to && i >= 0 && k >= 0 && i < was.length && k < becomes.length;) {
    const upTo = Math.min(to, was[i]!, becomes[k]!)
    const stands = seen?.rank ? standing(seen.rank - 1, near!, i) : i
    if (upTo > at) parts.push({ gain: searches * (share(k) - share(stands)), weight: upTo - at })
    if (was[i]! <= upTo) i++
    if (becomes[k]! <= upTo) k++
    at = upTo
  }
  return spreadOf(parts)
}

/** The places at which it may stand, first and last, from 0; `null` where that is not known. */
function ranksNear(places: number, seen: Seen | null): [number, number] | null {
  if (!seen || !places) return null
  const last = places - 1
  if (seen.rank === null) return [Math.min(seen.depth, last), last]
  const drift = Math.floor(seen.rank * DRIFT)
  return [Math.min(seen.rank - 1 - drift, last), Math.min(seen.rank - 1 + drift, last)]
}

/** Where it stands by its luck; where the page lost some of its results since, where it was seen. */
const standing = (seen: number, [first, last]: [number, number], lucky: number) =>
  seen > last ? seen : Math.min(Math.max(lucky, first), last)

/** The part of all luck that fits where it stands: from the luckiest at 0 to the unluckiest at 1. */
function luckOf(was: Float64Array, near: [number, number] | null): [number, number] {
  if (!near) return [0, 1]
  const from = near[0] > 0 ? was[near[0] - 1]! : 0
  const to = was[near[1]]!
  // A rank that was thought impossible leaves the luck next to it.
  return to - from > 1e-12 ? [from, to] : from >= 1 - 1e-9 ? [1 - 1e-9, 1] : [from, Math.min(1, from + 1e-9)]
}

function spreadOf(parts: { gain: number; weight: number }[]): Reworded {
  const all = parts.reduce((sum, { weight }) => sum + weight, 0)
  if (!all) return { expected: 0, low: 0, high: 0 }
  parts.sort((a, b) => a.gain - b.gain)
  const at = (part: number) => {
    let sum = 0
    for (const { gain, weight } of parts) if ((sum += weight) >= part * all) return gain
    return parts.at(-1)!.gain
  }
  return {
    expected: parts.reduce((sum, { gain, weight }) => sum + gain * weight, 0) / all,
    low: at(LOW),
    high: at(HIGH),
  }
}

import { median } from 'd3-array'

/** A shift with its interval. */
export interface Shift {
  shift: number
  low: number
  high: number
}

/** The chances of each sum of the ranks 1 to n, each rank being in it or not by the toss of a coin. */
function sumsOfRanks(n: number): Float64Array {
  const chances = new Float64Array((n * (n + 1)) / 2 + 1)
  chances[0] = 1
  let most = 0
  for (let rank = 1; rank <= n; rank++) {
    most += rank
    for (let sum = most; sum >= 0; sum--) chances[sum] = (chances[sum]! + (sum >= rank ? chances[sum - rank]! : 0)) / 2
  }
  return chances
}

/**
 * By how much values lie off 0, by Wilcoxon’s signed ranks: the estimate of Hodges and Lehmann, and the interval of all
 * shifts that the ranks do not speak against. Nothing is assumed but that chance alone is even on both sides, and one
 * value far off moves it little.
 *
 * @param sure the part of intervals that hold what is true, at least: it is exact.
 * @returns `null` where there are too few for that: six at .95.
 */
export function signedRankShift(values: readonly number[], sure: number): Shift | null {
  const n = values.length
  const chances = sumsOfRanks(n)
  let outside = 0
  let below = 0
  for (; below < chances.length; below++) {
    outside += chances[below]!
    if (outside > (1 - sure) / 2) break
  }
  if (n === 0 || below === 0) return null
  const averages = new Float64Array((n * (n + 1)) / 2)
  let k = 0
  for (let i = 0; i < n; i++) for (let j = i; j < n; j++) averages[k++] = (values[i]! + values[j]!) / 2
  averages.sort()
  return { shift: median(averages)!, low: averages[below - 1]!, high: averages[averages.length - below]! }
}

import { mean } from 'd3-array'
import { twoSidedTail } from './normal'
import { leastSquares } from './solve'

/** How far two rows of values go together, the same however they are scaled. */
export interface RankRelation {
  n: number
  /** −1 to 1: 0 where one tells nothing of the other. */
  r: number
  /** Its 95 % interval. */
  low: number
  high: number
  /** How likely so much is by chance alone. */
  p: number
}

/** Ranks of values from 0; alike values share the middle of theirs. */
function ranksOf(values: readonly number[]): number[] {
  const order = values.map((_, i) => i).sort((a, b) => values[a]! - values[b]!)
  const ranks = new Array<number>(values.length)
  for (let from = 0; from < order.length;) {
    let to = from
    while (to < order.length && values[order[to]!] === values[order[from]!]) to++
    for (let i = from; i < to; i++) ranks[order[i]!] = (from + to - 1) / 2
    from = to
  }
  return ranks
}

/** What is left of ranks when all that others let expect is taken out. */
function left(ranks: readonly number[], others: readonly (readonly number[])[]): number[] {
  const rows = ranks.map((_, i) => [1, ...others.map(other => other[i]!)])
  const zeros = new Array<number>(others.length + 1).fill(0)
  // The least of penalties keeps others that go together from leaving nothing to solve.
  const by = leastSquares(rows, ranks, zeros, new Array<number>(others.length + 1).fill(1e-6))
  return ranks.map((rank, i) => rank - rows[i]!.reduce((sum, value, k) => sum + value * by[k]!, 0))
}

/** By so many deviations 95 % of a normal variable lie at most. */
const USUAL = 1.96
/** Two rows that hardly vary say nothing. */
const LEAST_VARIANCE = 1e-9

/**
 * The partial rank correlation of two rows of values: of their ranks, with what the ranks of others let expect of both
 * taken out. Its interval is that of Bonett and Wright (2000).
 *
 * @param others rows of values as long as the two. @returns `null` where fewer than four values are left free, or one
 *   of the two does not vary beside the others.
 */
export function rankRelation(
  one: readonly number[],
  two: readonly number[],
  others: readonly (readonly number[])[] = [],
): RankRelation | null {
  const n = one.length
  const free = n - 3 - others.length
  if (free < 1) return null
  const ranked = others.map(ranksOf)
  const [a, b] = [left(ranksOf(one), ranked), left(ranksOf(two), ranked)]
  const [ma, mb] = [mean(a)!, mean(b)!]
  let [saa, sbb, sab] = [0, 0, 0]
  for (let i = 0; i < n; i++) {
    saa += (a[i]! - ma) ** 2
    sbb += (b[i]! - mb) ** 2
    sab += (a[i]! - ma) * (b[i]! - mb)
  }
  if (saa < LEAST_VARIANCE || sbb < LEAST_VARIANCE) return null
  const r = Math.max(-0.9999, Math.min(0.9999, sab / Math.sqrt(saa * sbb)))
  const z = Math.atanh(r)
  const deviation = Math.sqrt((1 + r ** 2 / 2) / free)
  return {
    n,
    r,
    low: Math.tanh(z - USUAL * deviation),
    high: Math.tanh(z + USUAL * deviation),
    p: twoSidedTail(z * Math.sqrt(free)),
  }
}

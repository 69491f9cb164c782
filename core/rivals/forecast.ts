import { recalibrated, recalibratedRanks, type Recalibration } from '../chance/recalibrated'
import { PAGE_SEATS } from './difficulty'

/**
 * How uncertain a forecast is, until it is calibrated on the channel's own history: a rough estimate. New videos put
 * into the ranking of a site whose rules are known came true as often as these say (held-out Brier score .152); a
 * spread of .12 and .03 said 99 % where 71 to 85 % came true.
 */
export interface Spread {
  /** Added to my strength: what the history says of forecasts that were too high or too low. */
  offset: number
  /** Standard deviation of what a single video does better or worse than its channel lets expect. */
  sigma: number
  /** How sharply a difference of strength decides between two videos. */
  tau: number
  /** What came of earlier forecasts corrects them by. */
  recalibration?: Recalibration
}
export const SPREAD: Spread = { offset: 0, sigma: 0.3, tau: 0.08 }

/** No chance is shown as surer than this, one way or the other. */
export const SUREST = 0.97
export const LEAST_SURE = 1 - SUREST

/** As many results as are ever read: three pages. Those beyond what was read stand there all the same. */
export const RESULTS_READ = 60
/** The last seats read, whose mean estimates the strength of unread ones: ranks 11 to 20 of a single page. */
const TAIL = 10

export interface Forecast {
  /** Chance that fewer than twenty stay ahead. */
  pageOne: number
  /** P(rank = k) at index k − 1; the last one is “behind all of them”. */
  ranks: Float64Array
  /** The fewest ranks in a row that hold half of the likelihood, both ends within. */
  likely: [number, number]
  /** For each rival read, the chance that it stays ahead. */
  ahead: Float64Array
  /** Ranks whose holder I pass more likely than not. */
  softSeats: number[]
}

// Looked up once; see core/random.
const { ceil, exp, max, min } = Math

interface Nodes {
  luck: Float64Array
  weights: Float64Array
}
const nodesOf = new Map<string, Nodes>()

/**
 * Nodes for the integral over the luck of one video: the trapezoid over ±4.5 σ, no further apart than τ / 4. The number
 * ahead of sixty alike rivals turns several times as steeply as one comparison: with nodes τ apart the chance rippled
 * by .006. The weights are positive, so that the chance falls with every rival.
 */
function nodes({ sigma, tau }: Spread): Nodes {
  const key = `${sigma} ${tau}`
  let made = nodesOf.get(key)
  if (!made) {
    const half = min(400, max(18, ceil((4.5 * sigma) / (tau / 4))))
    const steps = Float64Array.from({ length: 2 * half + 1 }, (_, i) => ((i - half) * 4.5) / half)
    const raw = steps.map(z => exp((-z * z) / 2))
    const sum = raw.reduce((a, b) => a + b, 0)
    nodesOf.set(key, (made = { luck: steps.map(z => z * sigma), weights: raw.map(weight => weight / sum) }))
  }
  return made
}

/**
 * The results by which phrases are compared with each other: those of page one, however many were read of some of them.
 */
export function firstPage(
  strengths: readonly number[],
  more: boolean,
): { strengths: readonly number[]; more: boolean } {
  return { strengths: strengths.slice(0, PAGE_SEATS), more: more || strengths.length > PAGE_SEATS }
}

/** Strengths of all rivals to reckon with: those read, and for each unread one the mean of the last seats read. */
function withUnread(strengths: readonly number[], more: boolean): number[] {
  const read = strengths.slice(0, RESULTS_READ)
  if (!more || !read.length || read.length >= RESULTS_READ) return [...read]
  const last = read.slice(-TAIL)
  const tail = last.reduce((sum, strength) => sum + strength, 0) / last.length
  return [...read, ...new Array<number>(RESULTS_READ - read.length).fill(tail)]
}

/**
 * Chance of page one and likely ranks of one well-worded video of mine among the results of a page.
 *
 * My latent strength is `own + ε`, ε ~ N(0, σ²), the same in all comparisons of one video; given
 * ε, rival i stays ahead with 1 / (1 + exp((own + ε − S_i) / τ)), and the number ahead is
 * Poisson-binomial, computed exactly by dynamic programming.
 *
 * Results that were not read stand there all the same, and are counted as strong as the last ten read
 * are in the mean: where a page falls off, reading less of it makes no forecast better.
 *
 * @param strengths 0 to 1 by rank, those taken out as off-topic left out.
 * @param more whether the site has results beyond those read.
 * @returns `null` where no result is known: that nobody was found says nothing of how easy it is.
 */
export function forecast(
  own: number,
  strengths: readonly number[],
  more: boolean,
  spread: Spread = SPREAD,
): Forecast | null {
  if (!strengths.length) return null
  const rivals = withUnread(strengths, more)
  const { luck, weights } = nodes(spread)
  const n = rivals.length
  const counts = new Float64Array(n + 1)
  const ahead = new Float64Array(n)
  const count = new Float64Array(n + 1)
  for (let node = 0; node < luck.length; node++) {
    const mine = own + spread.offset + luck[node]!
    count.fill(0)
    count[0] = 1
    for (let i = 0; i < n; i++) {
      const p = 1 / (1 + exp((mine - rivals[i]!) / spread.tau))
      ahead[i]! += weights[node]! * p
      for (let k = i + 1; k > 0; k--) count[k] = count[k]! * (1 - p) + count[k - 1]! * p
      count[0]! *= 1 - p
    }
    for (let k = 0; k <= n; k++) counts[k]! += weights[node]! * count[k]!
  }
  const { recalibration } = spread
  const ranks = recalibratedRanks(recalibration, counts)
  if (recalibration) for (let i = 0; i < n; i++) ahead[i] = 1 - recalibrated(recalibration, 1 - ahead[i]!)
  let pageOne = 0
  for (let k = 0; k < min(PAGE_SEATS, n + 1); k++) pageOne += ranks[k]!
  return {
    pageOne: min(1, pageOne),
    ranks,
    likely: likelyRanks(ranks),
    ahead: ahead.slice(0, min(strengths.length, RESULTS_READ)),
    softSeats: [...ahead.keys()].filter(i => i < strengths.length && ahead[i]! < 0.5).map(i => i + 1),
  }
}

/** What is less likely than this is left out of the chance, as its logarithm: a billionth. */
const NEGLIGIBLE = Math.log(1e-9)
/**
 * Whether a sum of independent events, of this mean and variance, differs from the mean by so much at a chance that can
 * be left out (Bernstein's bound).
 */
const isNegligible = (variance: number, distance: number) =>
  distance > 0 && (-distance * distance) / (2 * (variance + distance / 3)) < NEGLIGIBLE

/**
 * The chance of page one alone, for thousands of phrases: the same sum with counts up to nineteen only, and only for
 * luck with which the number ahead may as well be more as fewer.
 */
export function chanceOfPageOne(
  own: number,
  strengths: readonly number[],
  more: boolean,
  spread: Spread = SPREAD,
): number | null {
  if (!strengths.length) return null
  const rivals = withUnread(strengths, more)
  if (rivals.length < PAGE_SEATS) return 1
  const { luck, weights } = nodes(spread)
  const count = new Float64Array(PAGE_SEATS)
  const stays = new Float64Array(rivals.length)
  let chance = 0
  for (let node = 0; node < luck.length; node++) {
    const mine = own + spread.offset + luck[node]!
    let mean = 0
    let variance = 0
    for (let i = 0; i < rivals.length; i++) {
      const p = (stays[i] = 1 / (1 + exp((mine - rivals[i]!) / spread.tau)))
      mean += p
      variance += p * (1 - p)
    }
    if (isNegligible(variance, PAGE_SEATS - mean)) {
      chance += weights[node]!
      continue
    }
    if (isNegligible(variance, mean - (PAGE_SEATS - 1))) continue
    count.fill(0)
    count[0] = 1
    for (let i = 0; i < rivals.length; i++) {
      const p = stays[i]!
      for (let k = min(i + 1, PAGE_SEATS - 1); k > 0; k--) count[k] = count[k]! * (1 - p) + count[k - 1]! * p
      count[0]! *= 1 - p
    }
    let sum = 0
    for (let k = 0; k < PAGE_SEATS; k++) sum += count[k]!
    chance += weights[node]! * sum
  }
  return recalibrated(spread.recalibration, min(1, chance))
}

/** What is held short of half counts as half: sums of floats. */
const HALF = 0.5 - 1e-9

/**
 * The fewest ranks in a row that hold half of the likelihood, both ends within, of equals the better ones; or one rank
 * fewer where that comes nearer to half. The middle half would take in the first or the last rank almost always when
 * most of it lies there, and hold far more than half.
 *
 * @param ranks P(rank = k) at index k − 1.
 */
export function likelyRanks(ranks: ArrayLike<number>): [number, number] {
  let best: [number, number] = [1, ranks.length]
  let over = Infinity
  let [last, held] = [0, 0]
  for (let first = 0; first < ranks.length; first++) {
    while (held < HALF && last < ranks.length) held += ranks[last++]!
    if (held < HALF) break
    if (last - first - 1 < best[1] - best[0]) {
      best = [first + 1, last]
      over = held - 0.5
    }
    held -= ranks[first]!
  }
  const fewer = mostIn(ranks, best[1] - best[0])
  return 0.5 - fewer.held < over - 1e-9 ? [fewer.first, fewer.first + best[1] - best[0] - 1] : best
}

/** So many ranks in a row that hold most: the first of them, and what they hold. */
function mostIn(ranks: ArrayLike<number>, length: number): { first: number; held: number } {
  let held = 0
  let most = { first: 1, held: 0 }
  for (let last = 0; last < ranks.length; last++) {
    held += ranks[last]!
    if (last >= length) held -= ranks[last - length]!
    if (last >= length - 1 && held > most.held) most = { first: last - length + 2, held }
  }
  return most
}

import { mean } from 'd3-array'
import { seeded } from '../../core/random'
import { leastSquares } from '../../core/statistics/solve'
import { DAYS_AFTER, type Attempt, type Trial } from './trial'

/**
 * Forecasters that know how the site ranks, and so how well anybody could do.
 *
 * `visible` knows the hidden weights and all that can be seen, such as the order of the page; it does not know what
 * viewers think of any video nor what the site thinks of channels. `allSeeing` knows that too, of all videos but the
 * new one.
 */
export interface Oracles {
  visible: number[]
  allSeeing: number[]
  /** The all-seeing chance of a channel for a phrase whose full text is worth this, before this bar. */
  chanceOf: (channel: string, attempt: Attempt) => number
}

/** What viewers think of a new video: mean and spread of clicks and watching, as the site draws them. */
const CLICKS = { mean: 0.33, deviation: 0.12 }
const WATCHED = { mean: 0.48 * 0.9, deviation: 0.12 * 0.9 }
/** The site's standing of a channel is drawn evenly between 0 and 1. */
const STANDING = { mean: 0.5, deviation: Math.sqrt(1 / 12) }
/** Draws are begun anew so often, each from scores drawn freely and sorted, and follow one another so often. */
const DRAWS = { anew: 12, sweeps: 6 }

/** The standard normal distribution's share below a value (Abramowitz and Stegun 26.2.17, error below 1e-7). */
function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  const tail = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly
  return z > 0 ? 1 - tail : tail
}

export function oraclesOf({ weights, unseen, channels, pages, attempts, seed }: Trial): Oracles {
  const byId = new Map(channels.map(channel => [channel.channel.id, channel]))
  const volumes = new Map(pages.map(page => [page.phrase, page.volume]))
  const random = seeded(seed ^ 0x0a)
  const size = (id: string) => Math.log10(1 + byId.get(id)!.subscribers)
  const youth = weights.fresh * Math.exp(-DAYS_AFTER / weights.fadeDays)
  const liked = weights.clicks * CLICKS.mean + weights.watched * WATCHED.mean
  /** What a video is worth before its views are known. */
  const known = (id: string, text: number, standing: number) =>
    text + liked + weights.subscribers * size(id) + weights.standing * standing + youth
  const standingOf = (id: string) => byId.get(id)!.standing

  const found = attempts.filter(({ hidden }) => hidden.text !== null && Number.isFinite(hidden.bar))
  const viewsBy = ({ phrase }: Attempt, id: string, margin: number) => [
    1,
    size(id),
    Math.log10(1 + volumes.get(phrase)!),
    margin,
  ]
  const margin = (attempt: Attempt, id: string, standing: number) =>
    known(id, attempt.hidden.text!, standing) - attempt.hidden.bar
  const rows = found.map(each => viewsBy(each, each.channel, margin(each, each.channel, standingOf(each.channel))))
  const views = found.map(each => Math.log10(1 + each.hidden.viewsPerDay))
  const shares = leastSquares(rows, views, [0, 0, 0, 0], [1e-6, 1e-6, 1e-6, 1e-6])
  const expected = (row: number[]) => row.reduce((sum, value, i) => sum + value * shares[i]!, 0)
  const left = Math.sqrt(mean(rows, (row, i) => (views[i]! - expected(row)) ** 2)!)
  // What a video is liked more also brings it views.
  const deviation = Math.hypot(
    weights.clicks * CLICKS.deviation,
    weights.watched * WATCHED.deviation,
    weights.views * left,
    Math.sqrt((weights.region ** 2 + weights.day ** 2) / 12),
  )
  const chance = (attempt: Attempt, id: string, standing: number, bars: readonly number[], spread: number) => {
    if (attempt.hidden.text === null) return 0
    if (!Number.isFinite(attempt.hidden.bar)) return 1
    return mean(bars, bar => {
      const over = known(id, attempt.hidden.text!, standing) - bar
      return below((over + weights.views * expected(viewsBy(attempt, id, over))) / spread)
    })!
  }
  const withChannel = Math.hypot(deviation, weights.standing * STANDING.deviation)
  return {
    visible: attempts.map(each =>
      chance(each, each.channel, STANDING.mean, barsUnder(each.hidden.seen, unseen, random), withChannel),
    ),
    allSeeing: attempts.map(each => chance(each, each.channel, standingOf(each.channel), [each.hidden.bar], deviation)),
    chanceOf: (id, attempt) => chance(attempt, id, standingOf(id), [attempt.hidden.bar], deviation),
  }
}

/** Draws of the twentieth score, given what can be seen of all and in which order they stand (Gibbs sampling). */
function barsUnder(
  seen: readonly number[],
  { mean: usual, deviation }: Trial['unseen'],
  random: () => number,
): number[] {
  if (seen.length < 20) return [-Infinity]
  const bars: number[] = []
  for (let anew = 0; anew < DRAWS.anew; anew++) {
    const scores = seen.map(part => part + usual + deviation * inverse(random())).sort((a, b) => b - a)
    for (let sweep = 0; sweep < DRAWS.sweeps; sweep++) {
      for (let i = 0; i < scores.length; i++) {
        const middle = seen[i]! + usual
        const [low, high] = [scores[i + 1] ?? -Infinity, scores[i - 1] ?? Infinity]
        const from = below((low - middle) / deviation)
        const to = below((high - middle) / deviation)
        const drawn = middle + deviation * inverse(from + (to - from) * random())
        scores[i] = Math.min(high, Math.max(low, drawn))
      }
      if (sweep >= DRAWS.sweeps / 2) bars.push(scores[19]!)
    }
  }
  return bars
}

/** The value below which a share of a standard normal lies (Abramowitz and Stegun 26.2.23, error below 5e-4). */
function inverse(share: number): number {
  const tail = Math.max(1e-9, Math.min(share, 1 - share))
  const t = Math.sqrt(-2 * Math.log(tail))
  const z =
    t - (2.515517 + 0.802853 * t + 0.010328 * t * t) / (1 + 1.432788 * t + 0.189269 * t * t + 0.001308 * t * t * t)
  return share < 0.5 ? -z : z
}

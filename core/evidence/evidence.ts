import { seeded } from '../random'
import { falseDiscovery } from '../statistics/falseDiscovery'
import { twoSidedTail } from '../statistics/normal'
import { PASSES, UNTOLD, type PageReading } from './pageReading'
import { pageFamilies } from './families'
import { pairsOn, slopeSums, type PageSeats } from './pairs'

/** A page with what its checks said; each of a phrase of its own. */
export interface EvidencePage extends PageSeats {
  reading: PageReading
  /** Its videos, the same number for the same video on every page. */
  videos: readonly number[]
  /** Which results count; all where absent. */
  taken?: readonly boolean[]
}

/**
 * `untold`: nothing on a result page says whether the check is met. `few`: too few pages hold results that meet it
 * beside others on the same footing that do not.
 */
export type Verdict = 'higher' | 'none' | 'lower' | 'few' | 'untold'

export interface CheckEvidence {
  id: string
  /** Pages with at least one pair, and families among them. */
  pages: number
  families: number
  pairs: number
  /** The share of results that meet it, of those it applies to; `null` where it applies to none. */
  share: number | null
  /** Ranks by which the result that passes stands higher than its match; `null` with too few pages. */
  difference: number | null
  low: number | null
  high: number | null
  /** After all checks are taken together (Benjamini and Hochberg). */
  q: number | null
  verdict: Verdict
}

/** Families of pages below which nothing is said. */
export const LEAST_FAMILIES = 20
const RESAMPLES = 1000
/** A false alarm misleads more than a missed help: one in a hundred is borne. */
const ALARM = 0.01

/**
 * Whether results that meet a check stand higher than those that do not, on the same page and with the same reach and
 * pull, check by check.
 *
 * For a pair: the ranks between the two, less what their difference in footing within the caliper is worth by the slope
 * over all pages. Mean over all pairs; interval and error by drawing families of pages anew (percentile bootstrap), so
 * that phrases which lead to the same videos count as one; two-sided normal tail, then Benjamini and Hochberg.
 *
 * It compares, and proves no cause: what goes with a check, such as another check, is not taken off.
 *
 * @param ids of the checks, in the order of the readings. @param seed for the draws, so that it says the same again.
 */
export function evidenceOf(ids: readonly string[], pages: readonly EvidencePage[], seed = 1): CheckEvidence[] {
  const { family, count } = pageFamilies(pages.map(page => page.videos))
  let [along, square] = [0, 0]
  for (const page of pages) {
    const sums = slopeSums(page)
    along += sums.along
    square += sums.square
  }
  const slope = square > 0 ? along / square : 0
  const checks = ids.map((id, check) => {
    const [ranks, pairs] = [new Float64Array(count), new Float64Array(count)]
    let [pagesWith, told, met] = [0, 0, 0]
    pages.forEach((page, i) => {
      const seats = page.ranks.length
      for (let seat = 0; seat < seats; seat++) {
        const said = page.reading[check * seats + seat]!
        if (said === UNTOLD || (page.taken && !page.taken[seat])) continue
        told++
        if (said === PASSES) met++
      }
      const sums = pairsOn(page, page.reading, check, page.taken)
      if (!sums.pairs) return
      pagesWith++
      ranks[family[i]!]! += sums.ranks - slope * sums.footing
      pairs[family[i]!]! += sums.pairs
    })
    return { id, ranks, pairs, pages: pagesWith, families: pairs.filter(n => n > 0).length, told, met }
  })
  const draws = resampled(checks, count, seed)
  const p = checks.map((check, i) => {
    const error = draws[i] && spread(draws[i])
    return error ? twoSidedTail(meanOf(check) / error) : null
  })
  const q = falseDiscovery(p)
  return checks.map((check, i): CheckEvidence => {
    const { id, pages: pagesWith, families, told, met } = check
    const base = {
      id,
      pages: pagesWith,
      families,
      pairs: check.pairs.reduce((sum, n) => sum + n, 0),
      share: told ? met / told : null,
    }
    const drawn = draws[i]
    if (!drawn || q[i] === null || q[i] === undefined)
      return { ...base, difference: null, low: null, high: null, q: null, verdict: told ? 'few' : 'untold' }
    const difference = meanOf(check)
    const [low, high] = [quantile(drawn, 0.025), quantile(drawn, 0.975)]
    const clear = q[i] <= ALARM && low * high > 0
    return { ...base, difference, low, high, q: q[i], verdict: !clear ? 'none' : difference > 0 ? 'higher' : 'lower' }
  })
}

// Looked up once; see core/random.
const { floor, sqrt } = Math

interface Sums {
  ranks: Float64Array
  pairs: Float64Array
  families: number
}

function meanOf({ ranks, pairs }: Sums): number {
  let [above, below] = [0, 0]
  for (let i = 0; i < ranks.length; i++) {
    above += ranks[i]!
    below += pairs[i]!
  }
  return above / below
}

/** Means of families drawn anew, sorted; `null` for a check of too few. The same draws serve all checks. */
function resampled(checks: readonly Sums[], families: number, seed: number): (Float64Array | null)[] {
  const random = seeded(seed)
  const means = checks.map(check => (check.families < LEAST_FAMILIES ? null : new Float64Array(RESAMPLES)))
  const times = new Float64Array(families)
  for (let draw = 0; draw < RESAMPLES; draw++) {
    times.fill(0)
    for (let i = 0; i < families; i++) times[floor(random() * families)]!++
    checks.forEach(({ ranks, pairs }, i) => {
      const mean = means[i]
      if (!mean) return
      let [above, below] = [0, 0]
      for (let f = 0; f < families; f++) {
        above += times[f]! * ranks[f]!
        below += times[f]! * pairs[f]!
      }
      mean[draw] = below > 0 ? above / below : 0
    })
  }
  return means.map(mean => mean && mean.sort())
}

function spread(sorted: Float64Array): number {
  const mean = sorted.reduce((sum, value) => sum + value, 0) / sorted.length
  return sqrt(sorted.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (sorted.length - 1))
}

function quantile(sorted: Float64Array, share: number): number {
  const at = share * (sorted.length - 1)
  const below = floor(at)
  return sorted[below]! + (at - below) * ((sorted[below + 1] ?? sorted[below]!) - sorted[below]!)
}

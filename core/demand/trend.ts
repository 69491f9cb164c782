import { median } from 'd3-array'
import { twoSidedTail } from '../statistics/normal'
import type { Months } from './volume'

export interface Trend {
  direction: 'rising' | 'fading' | 'steady'
  /** Change a year as a fraction of the median month: .2 is a fifth more every year. */
  yearly: number
  /** Two-sided p of the seasonal Kendall test. */
  p: number
}

/** A trend is called only when it is this unlikely to be chance and at least this large. */
const MAX_P = 0.01
const LEAST_YEARLY = 0.1

/** Sums over groups of equal values, for the variance of S and for the months of one season. */
function tieTerm(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  let term = 0
  for (let i = 0; i < sorted.length;) {
    let j = i
    while (j < sorted.length && sorted[j] === sorted[i]) j++
    const t = j - i
    if (t > 1) term += t * (t - 1) * (2 * t + 5)
    i = j
  }
  return term
}

/**
 * Seasonal Kendall test and slope (Hirsch, Slack and Smith 1982), corrected for ties: each
 * calendar month is compared only with itself in other years, so a season is no trend.
 *
 * @param months searches a month, oldest first; nulls are left out of the comparisons.
 * @returns `null` with less than two full years, since there is then hardly anything to compare.
 */
export function trend(months: Months): Trend | null {
  if (months.length < 24) return null
  let s = 0
  let variance = 0
  let compared = 0
  const slopes: number[] = []
  const known: number[] = []
  for (let season = 0; season < 12; season++) {
    const values: number[] = []
    for (let i = season; i < months.length; i += 12) {
      const now = months[i]
      if (now === null || now === undefined) continue
      known.push(now)
      for (let back = 12; back <= i - season; back += 12) {
        const before = months[i - back]
        if (before === null || before === undefined) continue
        compared++
        s += Math.sign(now - before)
        slopes.push((now - before) / (back / 12))
      }
      values.push(now)
    }
    const n = values.length
    variance += (n * (n - 1) * (2 * n + 5) - tieTerm(values)) / 18
  }
  if (compared < 12) return null
  const middle = median(known)!
  const slope = median(slopes)!
  const yearly = middle > 0 ? slope / middle : 0
  const z = variance > 0 ? (s - Math.sign(s)) / Math.sqrt(variance) : 0
  const p = variance > 0 ? Math.min(1, twoSidedTail(z)) : 1
  const called = p < MAX_P && Math.abs(yearly) >= LEAST_YEARLY
  return { direction: called ? (yearly > 0 ? 'rising' : 'fading') : 'steady', yearly, p }
}

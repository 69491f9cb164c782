/// <reference path="../statistics/jstat.d.ts" />
import jStat from 'jstat'
import { fillMonths } from './fillMonths'
import type { Months } from './volume'

export interface Season {
  /** 0 to 1: how much of what is left after the trend repeats every year. */
  strength: number
  /** p of the F-test over calendar months. */
  p: number
  /** Twelve factors, January first: 1.5 is half more than the year's own level. */
  shape: number[]
  /** Calendar months of the peak, 0 January, in the order of the year from its beginning. */
  peaks: number[]
}

/** Pure noise passes the F-test this often; three years are few, so that less would be said too readily. */
const MAX_P = 0.01
/** A month belongs to the peak when it reaches this part of the highest month's rise. */
const PEAK_PART = 0.6
const YEAR = 12

/** The middle of a year's window around each month: half weights at its ends. `null` where the window is cut. */
function centredYear(values: readonly number[]): (number | null)[] {
  return values.map((_, i) => {
    if (i < 6 || i > values.length - 7) return null
    let sum = (values[i - 6]! + values[i + 6]!) / 2
    for (let k = i - 5; k <= i + 5; k++) sum += values[k]!
    return sum / YEAR
  })
}

/** F-test of month means in values to which a straight line was fitted as well: exact under even noise. */
function monthsMatter(logs: readonly number[]): number {
  const n = logs.length
  const within = (x: readonly number[]) => {
    const sums = new Float64Array(YEAR)
    const counts = new Float64Array(YEAR)
    x.forEach((value, i) => {
      sums[i % YEAR]! += value
      counts[i % YEAR]!++
    })
    return x.map((value, i) => value - sums[i % YEAR]! / counts[i % YEAR]!)
  }
  const centred = (x: readonly number[]) => {
    const mean = x.reduce((a, b) => a + b, 0) / n
    return x.map(value => value - mean)
  }
  const rest = (x: readonly number[], y: readonly number[]) => {
    const xx = x.reduce((sum, value) => sum + value * value, 0)
    const xy = x.reduce((sum, value, i) => sum + value * y[i]!, 0)
    return y.reduce((sum, value) => sum + value * value, 0) - (xx > 0 ? (xy * xy) / xx : 0)
  }
  const line = logs.map((_, i) => i)
  const alone = rest(centred(line), centred(logs))
  const withMonths = rest(within(line), within(logs))
  const df = n - YEAR - 1
  if (alone <= 1e-12) return 1
  if (withMonths <= 1e-12) return 0
  return 1 - jStat.centralF.cdf((alone - withMonths) / (YEAR - 1) / (withMonths / df), YEAR - 1, df)
}

/** Neighbouring months that reach the peak, from its beginning; December and January are neighbours. */
function peakMonths(index: readonly number[]): number[] {
  const top = index.indexOf(Math.max(...index))
  const high = (month: number) => index[(month + YEAR) % YEAR]! >= PEAK_PART * index[top]!
  let from = top
  while (from > top - YEAR + 1 && high(from - 1)) from--
  const months: number[] = []
  for (let month = from; months.length < YEAR && (month <= top || high(month)); month++)
    months.push((month + YEAR) % YEAR)
  return months
}

/**
 * Season by classical decomposition of log(1 + searches): a centred year is the trend, the mean
 * of what remains in each calendar month the season. Strength is 1 − Var(remainder) /
 * Var(season + remainder) (Wang, Smith and Hyndman 2006), adjusted for the few years by
 * 1 − (1 − F) × 23/12 since twelve means fitted to twenty-four values find a season in anything.
 *
 * @param months 36 searches a month, oldest first, of which three within may be unknown.
 * @param lastMonth calendar month of the last one, 0 January.
 * @returns `null` where there is no season to speak of, or too little is known.
 */
export function season(months: Months, lastMonth: number): Season | null {
  const values = months.length >= 36 ? fillMonths(months.slice(-36)) : null
  if (!values) return null
  const logs = values.map(value => Math.log1p(value))
  const p = monthsMatter(logs)
  if (p >= MAX_P) return null
  const trend = centredYear(logs)
  // 36 months on, the first value stands in the calendar month after the last one.
  const calendar = (i: number) => (lastMonth + 1 + i) % YEAR
  const sums = new Float64Array(YEAR)
  const inside = trend.flatMap((level, i) => (level === null ? [] : [{ month: calendar(i), value: logs[i]! - level }]))
  for (const { month, value } of inside) sums[month]! += value
  const means = [...sums].map(sum => (sum * YEAR) / inside.length)
  const level = means.reduce((a, b) => a + b, 0) / YEAR
  const index = means.map(mean => mean - level)
  const variance = (list: number[]) => {
    const mean = list.reduce((a, b) => a + b, 0) / list.length
    return list.reduce((sum, x) => sum + (x - mean) ** 2, 0) / list.length
  }
  const whole = variance(inside.map(each => each.value))
  const remainder = variance(inside.map(each => each.value - index[each.month]!))
  const raw = whole > 0 ? Math.max(0, 1 - remainder / whole) : 0
  const strength = Math.max(0, 1 - ((1 - raw) * 23) / 12)
  return { strength, p, shape: index.map(Math.exp), peaks: peakMonths(index) }
}

/** Peak months as twelve bits, January the lowest. */
export const peakBits = (peaks: readonly number[]) => peaks.reduce((bits, month) => bits | (1 << month), 0)
export const bitPeaks = (bits: number) =>
  Array.from({ length: YEAR }, (_, month) => month).filter(month => (bits >> month) & 1)

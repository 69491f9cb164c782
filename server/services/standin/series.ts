import { hash, normal, seeded } from './chance'
import { COUNTRIES } from './places'

/** What of a phrase its months are made from, as the world keeps it. */
export interface SeriesRow {
  text: string
  base: number
  swing: number
  peak: number
  growth: number
  spike_at: number
  town: string | null
  /** BCP 47. */
  language: string
}

const TOTAL = COUNTRIES.reduce((sum, [, share]) => sum + share, 0)
/** A phrase that names a town is searched almost only in the town's own country. */
const HOME = 'GB'
/** Where a phrase in German is searched; a little of it everywhere. */
const GERMAN: Record<string, number> = { DE: 0.8, AT: 0.09, CH: 0.07 }

/** The part of a phrase's searches that a country has, from the country's size and the phrase's own luck. */
export function countryShare(row: SeriesRow, region: string): number {
  if (row.town !== null) return region === HOME ? 0.97 : 0.03 / COUNTRIES.length
  if (row.language === 'de') return GERMAN[region] ?? 0.04 / COUNTRIES.length
  const country = COUNTRIES.find(([code]) => code === region)
  if (!country) return 0
  return (country[1] / TOTAL) * Math.exp(0.25 * normal(seeded(hash(region + row.text))))
}

/** Months after a spike's beginning in which it lasts, and how many times it lifts the searches. */
const SPIKE_MONTHS = 3
const SPIKE = 14

/**
 * Searches of a phrase in each of the last `count` months, oldest first. A month keeps its figure, whenever it is asked
 * for.
 *
 * @param newest the last complete month as year × 12 + month.
 * @param origin the last complete month when the world was made: growth and spikes are counted from it.
 */
export function monthSeries(
  row: SeriesRow,
  region: string | null,
  newest: number,
  { origin = newest, count = 36 }: { origin?: number; count?: number } = {},
): number[] {
  const share = region === null ? 1 : countryShare(row, region)
  const own = hash((region ?? '') + row.text)
  const level = row.base * share
  const noise = 0.06 + 0.25 / Math.sqrt(1 + level / 40)
  return Array.from({ length: count }, (_, i) => {
    const month = newest - (count - 1 - i)
    const back = origin - month
    const spiked = row.spike_at >= 0 && back <= row.spike_at && back > row.spike_at - SPIKE_MONTHS
    const value =
      level *
      Math.exp(row.swing * Math.cos((2 * Math.PI * ((month % 12) - row.peak)) / 12)) *
      Math.pow(1 + row.growth, (12 - back) / 12) *
      (spiked ? SPIKE : 1)
    return Math.round(value * Math.exp(noise * normal(seeded(own + 7919 * month))))
  })
}

/** The last complete month of a day, as year × 12 + month. */
export function lastMonthOf(day: number): number {
  const date = new Date(day)
  return date.getUTCFullYear() * 12 + date.getUTCMonth() - 1
}

const DAYS_A_MONTH = 30.4
/** Searches of a phrase on a day, everywhere. @param madeOn the day on which the world was made. */
export const searchesOn = (row: SeriesRow, day: number, madeOn: number) =>
  monthSeries(row, null, lastMonthOf(day) + 1, { origin: lastMonthOf(madeOn), count: 1 })[0]! / DAYS_A_MONTH

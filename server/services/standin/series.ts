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
}

const TOTAL = COUNTRIES.reduce((sum, [, share]) => sum + share, 0)
/** A phrase that names a town is searched almost only in the town's own country. */
const HOME = 'GB'

/** The part of a phrase's searches that a country has, from the country's size and the phrase's own luck. */
export function countryShare(row: SeriesRow, region: string): number {
  if (row.town !== null) return region === HOME ? 0.97 : 0.03 / COUNTRIES.length
  const country = COUNTRIES.find(([code]) => code === region)
  if (!country) return 0
  return (country[1] / TOTAL) * Math.exp(0.25 * normal(seeded(hash(region + row.text))))
}

/**
 * Searches of a phrase in each of the last `count` months, oldest first.
 * @param newest the last complete month as year × 12 + month.
 */
export function monthSeries(row: SeriesRow, region: string | null, newest: number, count = 36): number[] {
  const share = region === null ? 1 : countryShare(row, region)
  const random = seeded(hash((region ?? '') + row.text) + 99)
  const level = row.base * share
  const noise = 0.06 + 0.25 / Math.sqrt(1 + level / 40)
  const months: number[] = []
  for (let back = 35; back >= 0; back--) {
    const month = (newest - back) % 12
    let value =
      level *
      Math.exp(row.swing * Math.cos((2 * Math.PI * (month - row.peak)) / 12)) *
      Math.pow(1 + row.growth, (12 - back) / 12)
    if (row.spike_at >= 0 && back <= row.spike_at && back > row.spike_at - 3) value *= 14
    months.push(Math.round(value * Math.exp(noise * normal(random))))
  }
  return months.slice(36 - count)
}

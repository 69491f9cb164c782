import { median } from 'd3-array'
import type { Shares } from '../rivals/winnings'
import { isFresh, type RankDay } from './standing'

/** A rank that fell, and stayed down. */
export interface Fallen {
  /** The middle one of the looks before; half of one where two are in the middle. */
  from: number
  /** The middle one of the last looks; `null` beyond the `depth` that was read. */
  to: number | null
  depth: number
  /** The first of the last looks, days since 1970. */
  since: number
}

/** So many looks in a row have to stand below. */
const LAST = 3
/** They are compared with the looks of so many days before them, of which there must be some. */
const BEFORE_DAYS = 28
const LEAST_BEFORE = 6
/** A rank that is as low as this part of the looks before is nothing new. */
const AS_LOW = 0.1

/** Beyond what was read a rank comes after all that was. */
const placed = ({ rank, depth }: RankDay) => rank ?? depth + 1

/**
 * Whether a rank fell: each of the last three looks stands below nine in ten of those of the four weeks before. Ranks
 * go up and down by a few seats from day to day; by that alone this comes about once in a thousand times.
 *
 * @param days in their order, oldest first. @param today days since 1970.
 * @returns `null` where it did not, or too little is known to say so.
 */
export function fallenOf(days: readonly RankDay[], today: number): Fallen | null {
  const last = days.slice(-LAST)
  if (last.length < LAST || !last.every(each => isFresh(each, today))) return null
  const since = last[0]!.day
  const before = days.filter(({ day }) => day < since && day >= since - BEFORE_DAYS)
  if (before.length < LEAST_BEFORE) return null
  const best = Math.min(...last.map(placed))
  if (before.filter(each => placed(each) >= best).length > AS_LOW * before.length) return null
  const from = median(before, placed)!
  const depth = Math.min(...last.map(each => each.depth))
  // It was hardly ever among the results: nothing was lost.
  if (from > depth) return null
  const to = median(last, placed)!
  return { from, to: to > depth ? null : to, depth, since }
}

/**
 * Views a month that a fall costs; beyond what was read at least so many.
 * @param searches a month; `null` where they are not known.
 */
export function lostBy({ from, to, depth }: Fallen, searches: number | null, shares: Shares): number | null {
  if (searches === null) return null
  const share = (rank: number) => shares[Math.round(rank) - 1] ?? 0
  return Math.max(0, searches * (share(from) - share(to ?? depth)))
}

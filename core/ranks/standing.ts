import { DAY } from '../time'

/** Where a video stood for a phrase on a day. */
export interface RankDay {
  /** Days since 1970 by UTC: what is looked up twice on one of them is one observation. */
  day: number
  /** 1 on top; `null` where it was not among the results read. */
  rank: number | null
  /** How many results were read. */
  depth: number
}

/** The day of a time, UTC milliseconds. */
export const rankDay = (at: number): number => Math.floor(at / DAY)
/** `yyyy-mm-dd`, and back. */
export const dayName = (day: number): string => new Date(day * DAY).toISOString().slice(0, 10)
export const dayNamed = (name: string): number => rankDay(Date.parse(`${name}T00:00:00Z`))

/** Where a video stood longer ago says little of what it brings today. */
export const FRESH_DAYS = 28
export const isFresh = ({ day }: RankDay, today: number): boolean => day > today - FRESH_DAYS

/** What a rank was some days before, and by how many seats it changed since: up is more than 0. */
export interface RankChange {
  from: RankDay
  /** `null` where one of the two lies beyond the results read: by how much is not known. */
  by: number | null
}
/** How a video stands for a phrase. */
export interface RankStanding {
  now: RankDay
  /** The best rank there was; `null` where it was never among the results read. */
  best: RankDay | null
  /** Against a week and four weeks before; `null` where nobody looked about then. */
  week: RankChange | null
  month: RankChange | null
}

/** A day counts as “about then” this much before it. */
export const TOLERANCE = { 7: 3, 28: 7 } as const

/**
 * How a row of days stands.
 * @param days in their order, oldest first. @returns `null` without one.
 */
export function standingOf(days: readonly RankDay[]): RankStanding | null {
  const now = days.at(-1)
  if (!now) return null
  let best: RankDay | null = null
  for (const each of days) if (each.rank !== null && (best?.rank == null || each.rank < best.rank)) best = each
  const change = (ago: keyof typeof TOLERANCE): RankChange | null => {
    const from = days.findLast(({ day }) => day <= now.day - ago)
    if (!from || from.day < now.day - ago - TOLERANCE[ago]) return null
    return { from, by: from.rank === null || now.rank === null ? null : from.rank - now.rank }
  }
  return { now, best, week: change(7), month: change(28) }
}

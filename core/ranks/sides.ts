import type { VideoDay } from './firstWeeks'

/** A day with what is compared of it. */
export interface ComparedDay extends VideoDay {
  /** Views from search. */
  search: number | null
}
export const COMPARED = ['views', 'search', 'impressions', 'clickRate'] as const
/** What is compared before and after a change. */
export type Compared = (typeof COMPARED)[number]

/** So much of the days of a side has to be known. */
const LEAST_KNOWN = 0.8

/** Counts of some days in which some day may be missing: a part of them has to be known. */
export interface Side {
  above: number[]
  /** What it is a part of; 1 a day where it is counted by itself. */
  below: number[]
}

function sideOf(days: readonly ComparedDay[], what: Compared, from: number, length: number): Side | null {
  const side: Side = { above: [], below: [] }
  for (const day of days) {
    if (day.day < from || day.day >= from + length) continue
    const [above, below] = what === 'clickRate' ? [day.clicks, day.impressions] : [day[what], 1]
    if (above === null || below === null) continue
    side.above.push(above)
    side.below.push(below)
  }
  return side.above.length >= LEAST_KNOWN * length ? side : null
}

/** Counts of nothing are no reason for an endless difference. */
export const LITTLE = 0.5
export const sum = (values: readonly number[]) => values.reduce((all, each) => all + each, 0)
/** The logarithm of a rate: of the counts of a side, or of counts drawn from it. */
export const logRate = (above: number, below: number) => Math.log((above + LITTLE) / (below + LITTLE))

export interface Sides {
  before: Side
  after: Side
}

/**
 * The days before and after a day, which belongs to neither side.
 *
 * @returns `null` where too little is known of a side, or nothing was counted in either.
 */
export function sidesAround(days: readonly ComparedDay[], what: Compared, day: number, length: number): Sides | null {
  const [before, after] = [sideOf(days, what, day - length, length), sideOf(days, what, day + 1, length)]
  return before && after && sum(before.above) + sum(after.above) > 0 ? { before, after } : null
}

/** How much more there was after than before, as a logarithm. */
export const differenceOf = ({ before, after }: Sides) =>
  logRate(sum(after.above), sum(after.below)) - logRate(sum(before.above), sum(before.below))

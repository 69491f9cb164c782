import { mean, variance } from 'd3-array'
import { seeded } from '../random'
import { studentQuantile } from '../statistics/student'
import type { VideoDay } from './firstWeeks'

/** A day with what is compared of it. */
export interface ComparedDay extends VideoDay {
  /** Views from search. */
  search: number | null
}
export const COMPARED = ['views', 'search', 'impressions', 'clickRate'] as const
/** What is compared before and after a change. */
export type Compared = (typeof COMPARED)[number]

/** Days on either side: whole weeks, as each weekday is a day of its own. */
const WEEK = 7
const MOST_WEEKS = 4
/** So much of the days of a side has to be known. */
const LEAST_KNOWN = 0.8
/** Fewer other videos do not tell what would have happened anyway. */
export const LEAST_CONTROLS = 5
/** The first weeks of a video fall by themselves, each in its own way. */
export const YOUNG_DAYS = 28
const RESAMPLES = 200
/** Days that are drawn together, as one day resembles the next. */
const BLOCK = 4
/** The part of intervals that hold what is true. */
const SURE = 0.95

/** What a change did, as far as it can be told. */
export interface BeforeAfter {
  /** Days on either side that are compared. */
  days: number
  /** Other videos of the channel that tell what would have happened anyway. */
  controls: number
  /**
   * How many times as much as without the change, with its interval; `null` where nothing can be told yet.
   */
  effect: { times: number; low: number; high: number } | null
  /** `early`: not enough days after it yet. `unclear`: the interval holds 1. */
  state: 'more' | 'less' | 'unclear' | 'early' | 'young' | 'no-days' | 'few-videos'
  /** For `early`: the day from which on it can be told, days since 1970. */
  from: number | null
}

export interface Change {
  /** The day of the change, days since 1970; it belongs to neither side. */
  day: number
  /** The days of the changes of the same video before and after it; `null` for none. */
  previous: number | null
  next: number | null
}

/** Sums of a side in which some day may be missing: a part of days has to be known. */
interface Side {
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

const { log, floor, sqrt, exp } = Math
/** Counts of nothing are no reason for an endless difference. */
const LITTLE = 0.5
const rate = (above: number, below: number) => log((above + LITTLE) / (below + LITTLE))
const sum = (values: readonly number[]) => values.reduce((all, each) => all + each, 0)
const differenceOf = (before: Side, after: Side) =>
  rate(sum(after.above), sum(after.below)) - rate(sum(before.above), sum(before.below))

/** The variance of a difference by which days there happen to be, drawn in blocks. */
function noiseOf(before: Side, after: Side, chance: () => number): number {
  const drawn = ({ above, below }: Side) => {
    const n = above.length
    let [a, b] = [0, 0]
    for (let have = 0; have < n;) {
      const start = floor(chance() * n)
      for (let k = 0; k < BLOCK && have < n; k++, have++) {
        a += above[(start + k) % n]!
        b += below[(start + k) % n]!
      }
    }
    return rate(a, b)
  }
  return variance(Array.from({ length: RESAMPLES }, () => drawn(after) - drawn(before))) ?? 0
}

/**
 * What a change of a video did: its days before and after, less how the channel's other videos did in the same days.
 * The interval is of Student's t: by chance in the days, drawn in blocks, and by how unlike videos go on anyway.
 *
 * @param own days of the video, oldest first. @param others the days of each of the channel's other videos that was
 *   not changed meanwhile, and out for a while. @param released the day it came out. @param today whose figures are not
 *   complete.
 */
export function beforeAfter(
  own: readonly ComparedDay[],
  others: readonly (readonly ComparedDay[])[],
  { day, previous, next }: Change,
  what: Compared,
  released: number,
  today: number,
): BeforeAfter {
  const start = Math.max(released + YOUNG_DAYS, previous === null ? -Infinity : previous + 1)
  const weeks = Math.min(
    MOST_WEEKS,
    floor((day - start) / WEEK),
    floor((Math.min(today, next ?? today) - day - 1) / WEEK),
  )
  const nothing = (state: BeforeAfter['state'], days = 0, controls = 0): BeforeAfter => ({
    days,
    controls,
    effect: null,
    state,
    from: state === 'early' ? day + 1 + WEEK : null,
  })
  if (day - start < WEEK) return nothing(day - (released + YOUNG_DAYS) < WEEK ? 'young' : 'no-days')
  if (weeks < 1) return nothing(next !== null && next <= today ? 'no-days' : 'early')
  const length = weeks * WEEK
  const sidesOf = (days: readonly ComparedDay[]) => {
    const [before, after] = [sideOf(days, what, day - length, length), sideOf(days, what, day + 1, length)]
    return before && after && sum(before.above) + sum(after.above) > 0 ? { before, after } : null
  }
  const mine = sidesOf(own)
  if (!mine) return nothing('no-days', length)
  const controls = others.flatMap(days => sidesOf(days) ?? [])
  if (controls.length < LEAST_CONTROLS) return nothing('few-videos', length, controls.length)
  const chance = seeded(length + controls.length)
  const differences = controls.map(({ before, after }) => differenceOf(before, after))
  const noises = controls.map(({ before, after }) => noiseOf(before, after, chance))
  const spread = variance(differences)!
  // How unlike videos go on, less what chance in their days makes of it.
  const unlike = Math.max(0, spread - mean(noises)!)
  const error = sqrt(noiseOf(mine.before, mine.after, chance) + unlike + spread / controls.length)
  const effect = differenceOf(mine.before, mine.after) - mean(differences)!
  const reach = error * studentQuantile((1 + SURE) / 2, controls.length - 1)
  const [low, high] = [effect - reach, effect + reach]
  return {
    days: length,
    controls: controls.length,
    effect: { times: exp(effect), low: exp(low), high: exp(high) },
    state: low > 0 ? 'more' : high < 0 ? 'less' : 'unclear',
    from: null,
  }
}

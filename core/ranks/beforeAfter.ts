import { mean, variance } from 'd3-array'
import { seeded } from '../random'
import { studentQuantile } from '../statistics/student'
import { differenceOf, logRate, sidesAround, type Compared, type ComparedDay, type Side } from './sides'

/** Days on either side: whole weeks, as each weekday is a day of its own. */
const WEEK = 7
const MOST_WEEKS = 4
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

const { floor, sqrt, exp } = Math

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
    return logRate(a, b)
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
  most = MOST_WEEKS,
): BeforeAfter {
  const start = Math.max(released + YOUNG_DAYS, previous === null ? -Infinity : previous + 1)
  const weeks = Math.min(most, floor((day - start) / WEEK), floor((Math.min(today, next ?? today) - day - 1) / WEEK))
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
  const sidesOf = (days: readonly ComparedDay[]) => sidesAround(days, what, day, length)
  const mine = sidesOf(own)
  if (!mine) return nothing('no-days', length)
  const controls = others.flatMap(days => sidesOf(days) ?? [])
  if (controls.length < LEAST_CONTROLS) return nothing('few-videos', length, controls.length)
  const chance = seeded(length + controls.length)
  const differences = controls.map(differenceOf)
  const noises = controls.map(({ before, after }) => noiseOf(before, after, chance))
  const spread = variance(differences)!
  // How unlike videos go on, less what chance in their days makes of it.
  const unlike = Math.max(0, spread - mean(noises)!)
  const error = sqrt(noiseOf(mine.before, mine.after, chance) + unlike + spread / controls.length)
  const effect = differenceOf(mine) - mean(differences)!
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

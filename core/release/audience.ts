import { DateTime, IANAZone } from 'luxon'

/** Hours of a week, Monday 0:00 first. */
export const WEEK_HOURS = 168
/** A release is judged by its own hour and those that follow it: the first hours are what a site goes by. */
export const FIRST_HOURS = 3

/**
 * When a channel's viewers are there, by the clock of another zone. People keep to their own clocks, so that what was
 * measured in summer holds for the same hours of a winter's clock: the shift is that of the time of measuring.
 *
 * @param hours 168 values by the clock of `from`. @param at when they were measured, UTC milliseconds.
 * @returns 168 values by the clock of `to`; an hour that lies across two takes its part of each.
 */
export function hoursInZone(hours: readonly number[], from: string, to: string, at: number): number[] {
  const offset = (zone: string) => (IANAZone.isValidZone(zone) ? IANAZone.create(zone).offset(at) : 0)
  const shift = (offset(from) - offset(to)) / 60
  const whole = Math.floor(shift)
  const part = shift - whole
  const of = (hour: number) => hours[(((hour + whole) % WEEK_HOURS) + WEEK_HOURS) % WEEK_HOURS]!
  return hours.map((_, hour) => (1 - part) * of(hour) + part * of(hour + 1))
}

/** An hour of the week, and how many viewers are there in it and those after it, as a multiple of the usual. */
export interface BestHour {
  /** 0 is Monday 0:00. */
  hour: number
  times: number
}

/** How much a week has to be told apart for an hour to be called better. */
const LEAST_BETTER = 1.1

/**
 * The hours to release at, best first, each at least `FIRST_HOURS` from the others: by the mean of the hour and those
 * that follow it against the mean of the week. Where the week is even, there is none.
 *
 * @param hours 168 values, of any unit.
 */
export function bestHours(hours: readonly number[], most = 3): BestHour[] {
  const mean = hours.reduce((sum, value) => sum + value, 0) / WEEK_HOURS
  if (!(mean > 0)) return []
  const times = hours.map((_, hour) => {
    let sum = 0
    for (let k = 0; k < FIRST_HOURS; k++) sum += hours[(hour + k) % WEEK_HOURS]!
    return sum / FIRST_HOURS / mean
  })
  const apart = (a: number, b: number) => Math.min(Math.abs(a - b), WEEK_HOURS - Math.abs(a - b))
  const found: BestHour[] = []
  for (const hour of times.map((_, each) => each).sort((a, b) => times[b]! - times[a]! || a - b)) {
    if (found.length === most || times[hour]! < LEAST_BETTER) break
    if (found.every(other => apart(other.hour, hour) >= FIRST_HOURS)) found.push({ hour, times: times[hour]! })
  }
  return found
}

/** The hour of the week that a zone's clock shows. */
export function weekHour(at: number, zone: string): number {
  const local = DateTime.fromMillis(at, { zone: IANAZone.isValidZone(zone) ? zone : 'utc' })
  return (local.weekday - 1) * 24 + local.hour
}

/**
 * The next time a zone's clock shows an hour of the week, UTC milliseconds.
 * @param after not before this time.
 */
export function nextAt(hour: number, zone: string, after: number): number {
  const known = IANAZone.isValidZone(zone) ? zone : 'utc'
  const day = DateTime.fromMillis(after, { zone: known }).startOf('day')
  for (let ahead = 0; ; ahead++) {
    const date = day.plus({ days: ahead })
    if (date.weekday - 1 !== Math.floor(hour / 24)) continue
    // Set, not added: on the day the clocks change an hour of the clock is not that many hours after midnight.
    const at = date.set({ hour: hour % 24 }).toMillis()
    if (at >= after) return at
  }
}

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const
export const weekdayName = (day: number): string => WEEKDAYS[day]!
/** `Thursday 18:00` */
export const weekHourInWords = (hour: number): string =>
  `${weekdayName(Math.floor(hour / 24))} ${String(hour % 24).padStart(2, '0')}:00`

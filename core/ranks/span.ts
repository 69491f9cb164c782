import { VIEW_SOURCES, type ViewSource } from '../formats/dayColumns'
import type { VideoDay } from './firstWeeks'

/** A day with where its views came from; `null` is what nobody told. */
export interface SourcedDay extends VideoDay, Record<ViewSource, number | null> {}
/** Views that came from another site on a day. */
export interface ReferredDay {
  day: number
  name: string
  views: number
}
/** A sum, and the days that it is of: of the others nobody told. */
export interface KnownSum {
  sum: number
  days: number
}
/** What is known of some days in a row. */
export interface Span {
  /** All of them, known or not. */
  days: number
  views: KnownSum | null
  impressions: KnownSum | null
  /** Clicks an impression, over the days of which both are known. */
  clickRate: { clicks: number; impressions: number } | null
  watchedSeconds: KnownSum | null
  /** Most first, with the part of those that are told. */
  sources: (KnownSum & { source: ViewSource; part: number | null })[]
  /** Other sites, most first. */
  referrers: { name: string; views: number }[]
}

/** The days of a span with those of which nothing is known in between as `null`s: a gap is no line. */
export function everyDay<Day extends { day: number }>(days: readonly Day[]): { day: number; known: Day | null }[] {
  const [first, last] = [days[0]?.day, days.at(-1)?.day]
  if (first === undefined || last === undefined) return []
  const known = new Map(days.map(each => [each.day, each]))
  return Array.from({ length: last - first + 1 }, (_, i) => ({ day: first + i, known: known.get(first + i) ?? null }))
}

/**
 * Sums up the last days of a video.
 * @param days oldest first. @param length the last so many days, counted from the last known one.
 */
export function spanOf<Day extends SourcedDay>(
  days: readonly Day[],
  referred: readonly ReferredDay[],
  length: number,
): Span & { within: Day[] } {
  const last = days.at(-1)?.day ?? -1
  const within = days.filter(({ day }) => day > last - length)
  const sumOf = (key: keyof SourcedDay): KnownSum | null => {
    const known = within.flatMap(day => day[key] ?? [])
    return known.length ? { sum: known.reduce((a, b) => a + b, 0), days: known.length } : null
  }
  const both = within.filter(({ impressions, clicks }) => impressions !== null && clicks !== null)
  const told = VIEW_SOURCES.flatMap(source => {
    const sum = sumOf(source)
    return sum ? [{ source, ...sum }] : []
  })
  const all = told.reduce((sum, each) => sum + each.sum, 0)
  const sites = new Map<string, number>()
  for (const { day, name, views } of referred) if (day > last - length) sites.set(name, (sites.get(name) ?? 0) + views)
  return {
    within,
    days: within.length ? last - within[0]!.day + 1 : 0,
    views: sumOf('views'),
    impressions: sumOf('impressions'),
    clickRate: both.length
      ? {
          clicks: both.reduce((sum, { clicks }) => sum + clicks!, 0),
          impressions: both.reduce((sum, { impressions }) => sum + impressions!, 0),
        }
      : null,
    watchedSeconds: sumOf('watchedSeconds'),
    sources: told.sort((a, b) => b.sum - a.sum).map(each => ({ ...each, part: all ? each.sum / all : null })),
    referrers: [...sites].map(([name, views]) => ({ name, views })).sort((a, b) => b.views - a.views),
  }
}

import { DAY } from '../time'
import { median } from 'd3-array'
import { PAGE_SEATS } from './difficulty'

export interface KeptSeats {
  at: number
  ids: readonly string[]
}

/**
 * Part of page one that changed hands in thirty days, from pages kept over time: between every two
 * neighbouring pages at least a day apart, the seats whose holder is on the page no more. Two
 * holders that swap places keep theirs.
 *
 * @param pages in any order, whole ones only.
 * @returns 0 to 1; `null` with less than two pages a day apart.
 */
export function turnover(pages: readonly KeptSeats[]): number | null {
  const sorted = [...pages].sort((a, b) => a.at - b.at)
  let changed = 0
  let days = 0
  let last = sorted[0]
  for (const page of sorted.slice(1)) {
    if (!last || page.at - last.at < DAY) continue
    const now = new Set(page.ids.slice(0, PAGE_SEATS))
    const before = last.ids.slice(0, PAGE_SEATS)
    if (before.length) changed += before.filter(id => !now.has(id)).length / before.length
    days += (page.at - last.at) / DAY
    last = page
  }
  return days > 0 ? Math.min(1, (changed / days) * 30) : null
}

export interface PageAge {
  /** Part of page one younger than thirty days. */ young: number
  /** Days. */ median: number
}

/** How old page one is, in days at the time it was read. @returns `null` for an empty page. */
export function pageAge(publishedAt: readonly number[], at: number): PageAge | null {
  const ages = publishedAt.slice(0, PAGE_SEATS).map(published => Math.max(0, (at - published) / DAY))
  if (!ages.length) return null
  return { young: ages.filter(age => age < 30).length / ages.length, median: median(ages)! }
}

/** Where a video moved between two looks. */
export interface Move {
  id: string
  rank: number | null
  before: number | null
}

/** Who rose, fell, came and left between two pages: every video of either, those of the newer first. */
export function moves(now: readonly string[], before: readonly string[]): Move[] {
  const was = new Map(before.map((id, i) => [id, i + 1]))
  const is = new Set(now)
  return [
    ...now.map((id, i) => ({ id, rank: i + 1, before: was.get(id) ?? null })),
    ...before.flatMap((id, i) => (is.has(id) ? [] : [{ id, rank: null, before: i + 1 }])),
  ]
}

/** Days from one look to the next that can be chosen, and the most there can be. */
export const WATCH_DAYS = [1, 2, 3, 7, 14] as const
export const MOST_WATCH_DAYS = 30

/** Days of a month as searches are counted. */
const MONTH = 30

/** How often pages are asked for. */
export interface WatchCost {
  /** Result pages, each of them once, however many videos are looked up on it. */
  pages: number
  /** Pages asked for in 30 days. */
  aMonth: number
}

/** What it costs to look pages up. @param every days between two looks, page by page. */
export function watchCost(every: readonly number[]): WatchCost {
  const aMonth = every.reduce((sum, days) => sum + MONTH / days, 0)
  return { pages: every.length, aMonth: Math.round(aMonth) }
}

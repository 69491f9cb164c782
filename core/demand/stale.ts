import { DAY } from '../time'

/** Figures older than this are called stale: the newest of their twelve months is three months behind. */
export const STALE_MS = 100 * DAY

/** @param at the date of a figure, UTC milliseconds; `null` without a figure. */
export const isStale = (at: number | null, now: number): boolean => at !== null && now - at > STALE_MS

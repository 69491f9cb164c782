import { DAY } from '../time'

/** Figures older than this are called stale: the newest of their twelve months is three months behind. */
export const STALE_MS = 100 * DAY

/** @param at when a figure was told, UTC milliseconds; `null` where nobody told one. */
export const isStale = (at: number | null, now: number): boolean => at !== null && now - at > STALE_MS

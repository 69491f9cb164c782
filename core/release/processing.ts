import { MINUTE } from '../time'

/**
 * How long a site is assumed to take until a video can be seen in full: some time to begin with, and a part of its
 * length. Sites do not say; where the length is unknown, that of a long one is assumed.
 */
const BEGINNING = 10 * MINUTE
const OF_LENGTH = 1
const LONG_SECONDS = 3000

/** @param seconds the video's length; `null` where it is not known. @returns milliseconds, in whole minutes. */
export function processingTime(seconds: number | null): number {
  const length = (seconds ?? LONG_SECONDS) * 1000
  return Math.ceil((BEGINNING + OF_LENGTH * length) / MINUTE) * MINUTE
}

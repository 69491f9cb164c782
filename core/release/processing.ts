import { MINUTE } from '../time'

/**
 * How long a site is assumed to take until a video can be seen in full: some time to begin with, and a part of its
 * length, more for a finer picture. Sites do not say; where the length is unknown, that of a long one is assumed.
 */
const BEGINNING = 10 * MINUTE
const OF_LENGTH = 1
const LONG_SECONDS = 3000
/** Up to so many lines a picture takes its usual time; beyond, as much longer as it has more points. */
const USUAL_LINES = 1080

/**
 * @param seconds the video's length. @param lines of its picture; both `null` where that is not known.
 * @returns milliseconds, in whole minutes.
 */
export function processingTime({ seconds, lines }: { seconds: number | null; lines: number | null }): number {
  const length = (seconds ?? LONG_SECONDS) * 1000
  const finer = Math.max(1, ((lines ?? USUAL_LINES) / USUAL_LINES) ** 2)
  return Math.ceil((BEGINNING + OF_LENGTH * length * finer) / MINUTE) * MINUTE
}

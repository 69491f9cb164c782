/** What is said from one moment to another. */
export interface Cue {
  /** Seconds from the beginning. */
  start: number
  end: number
  /** Plain text, without markup; may have several lines. */
  text: string
}

/** What is spoken in a video. */
export interface Captions {
  cues: readonly Cue[]
  /** Whether the times are those of the video; `false` where they are estimated from the length of the words. */
  timed: boolean
}

/** Cues of one video at most: some 24 hours of speech. */
export const MOST_CUES = 30_000
/** A time to the millisecond: more captions do not hold. */
export const toMs = (seconds: number) => Math.round(seconds * 1000) / 1000

const two = (n: number) => String(n).padStart(2, '0')

/**
 * A time as captions write it, to the millisecond.
 * @param point the sign before the milliseconds: a point in WebVTT, a comma in SRT.
 * @example stamp(3661.5) // '01:01:01.500'
 */
export function stamp(seconds: number, point: '.' | ',' = '.'): string {
  const all = Math.round(Math.max(0, seconds) * 1000)
  const [ms, s, m, h] = [
    all % 1000,
    Math.floor(all / 1000) % 60,
    Math.floor(all / 60_000) % 60,
    Math.floor(all / 3_600_000),
  ]
  return `${two(h)}:${two(m)}:${two(s)}${point}${String(ms).padStart(3, '0')}`
}

/** A time as people write it: `1:05`, `12:00`, `1:01:01`; parts of a second are cut off. */
export function clock(seconds: number): string {
  const all = Math.floor(Math.max(0, seconds))
  const [s, m, h] = [all % 60, Math.floor(all / 60) % 60, Math.floor(all / 3600)]
  return h ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`
}

const TYPED = /^(?:(\d{1,3}):)?(\d{1,3}):(\d{1,2})(?:[.,](\d{1,3}))?$/u

/** The seconds of a time as people write it; `null` for what is none. Sixty minutes and more are fine without hours. */
export function secondsOf(text: string): number | null {
  const found = TYPED.exec(text.trim())
  if (!found) return null
  const [, h, m, s, ms] = found
  if (Number(s) > 59 || (h !== undefined && Number(m) > 59)) return null
  return Number(h ?? 0) * 3600 + Number(m) * 60 + Number(s) + (ms ? Number(ms.padEnd(3, '0')) / 1000 : 0)
}

/** All that is said, a cue a line: its n-th line belongs to the n-th cue. */
export const spokenText = (cues: readonly Cue[]): string => cues.map(cue => cue.text.replace(/\s+/gu, ' ')).join('\n')

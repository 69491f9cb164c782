import { secondsOf, type Captions } from './cue'
import { spread } from './spread'

/** A time at the beginning of a line, with or without brackets, and what parts it from the words. */
const TIME = /^[[(]?((?:\d{1,3}:)?\d{1,3}:\d{2})(?!\d)[\])]?/u
const JOINT = /^[-–—:|]?/u
const BULLET = /^(?:[-*•]|\d{1,3}[.)])[ \t]{1,8}/u

/** A part of an outline: what is to be said from a moment on. */
export interface OutlinePart {
  /** Seconds; `null` where the line has no time. */
  start: number | null
  text: string
  /** The line it stands in, from 0. */
  line: number
}

/** The parts of an outline, a line each; empty lines are left out. */
export function outlineParts(outline: string): OutlinePart[] {
  return outline.split('\n').flatMap((raw, line) => {
    const trimmed = raw.trim()
    const time = TIME.exec(trimmed)
    const start = time ? secondsOf(time[1]!) : null
    const rest = start === null ? trimmed : trimmed.slice(time![0].length).trimStart().replace(JOINT, '').trimStart()
    const text = rest.replace(BULLET, '').trim()
    return text ? [{ start, text, line }] : []
  })
}

/**
 * An outline in place of captions: parts with a time are spoken from it to the next one, those without share the time
 * around them by the length of their words.
 *
 * @param seconds the video's length, where it is known.
 */
export function outlineCaptions(outline: string, seconds?: number): Captions {
  const parts = outlineParts(outline)
  const cues: Captions['cues'][number][] = []
  let from = 0
  for (let i = 0; i < parts.length;) {
    const start = Math.max(from, parts[i]!.start ?? from)
    let next = i + 1
    // A time that runs backwards is none.
    while (next < parts.length && !((parts[next]!.start ?? -1) > start)) next++
    const until = parts[next]?.start ?? (seconds && seconds > start ? seconds : undefined)
    const said = spread(
      parts
        .slice(i, next)
        .map(part => part.text)
        .join('\n'),
      until === undefined ? undefined : until - start,
    )
    for (const cue of said) cues.push({ ...cue, start: cue.start + start, end: cue.end + start })
    from = until ?? cues.at(-1)?.end ?? start
    i = next
  }
  return { cues, timed: parts.some(part => part.start !== null) }
}

import { toMs, type Cue } from './cue'

/** A cue shorter than this cannot be read, in seconds. */
export const SHORTEST = 0.1

/** All cues later by some seconds, or earlier. What would begin before 0 begins there; what would end there is gone. */
export const shifted = (cues: readonly Cue[], by: number): Cue[] =>
  cues.flatMap(cue => {
    const end = toMs(cue.end + by)
    return end < SHORTEST ? [] : [{ ...cue, start: toMs(Math.max(0, cue.start + by)), end }]
  })

/**
 * Cues stretched so that two moments come to stand where they should: the usual mend for captions of another frame
 * rate, or that drift.
 *
 * @param from where two moments are. @param to where they belong.
 * @returns `null` where either pair does not rise.
 */
export function stretched(
  cues: readonly Cue[],
  from: readonly [number, number],
  to: readonly [number, number],
): Cue[] | null {
  if (!(from[1] > from[0]) || !(to[1] > to[0])) return null
  const scale = (to[1] - to[0]) / (from[1] - from[0])
  const at = (time: number) => to[0] + (time - from[0]) * scale
  return cues.flatMap(cue => {
    const end = toMs(at(cue.end))
    return end < SHORTEST ? [] : [{ ...cue, start: toMs(Math.max(0, at(cue.start))), end }]
  })
}

/** A cue and the next one as one. */
export function joined(cues: readonly Cue[], at: number): Cue[] {
  const [cue, next] = [cues[at], cues[at + 1]]
  if (!cue || !next) return [...cues]
  const both = {
    start: cue.start,
    end: Math.max(cue.end, next.end),
    text: `${cue.text.trimEnd()} ${next.text.trimStart()}`,
  }
  return [...cues.slice(0, at), both, ...cues.slice(at + 2)]
}

/**
 * A cue cut in two at a place in its text; its time is shared by the length of the parts.
 * @param offset UTF-16 in its text; at either end nothing is cut.
 */
export function split(cues: readonly Cue[], at: number, offset: number): Cue[] {
  const cue = cues[at]
  const [before, after] = cue ? [cue.text.slice(0, offset).trim(), cue.text.slice(offset).trim()] : ['', '']
  if (!cue || !before || !after) return [...cues]
  const middle = toMs(cue.start + ((cue.end - cue.start) * before.length) / (before.length + after.length))
  return [
    ...cues.slice(0, at),
    { start: cue.start, end: middle, text: before },
    { start: middle, end: cue.end, text: after },
    ...cues.slice(at + 1),
  ]
}

/** A cue changed; the order by time is kept. A cue whose text is emptied is gone. */
export function changed(cues: readonly Cue[], at: number, change: Partial<Cue>): Cue[] {
  const next = cues.flatMap((cue, i) => {
    if (i !== at) return [cue]
    const made = { ...cue, ...change }
    return made.text.trim() ? [{ ...made, end: Math.max(made.end, toMs(made.start + SHORTEST)) }] : []
  })
  return change.start === undefined ? next : next.sort((a, b) => a.start - b.start)
}

/**
 * A cue made to begin at a moment, as a person hears it: the one before ends there at the latest, those after it keep
 * their distance. So a script is timed from its first line to its last.
 * @returns `null` where the moment is not after the begin of the cue before.
 */
export function beginsAt(cues: readonly Cue[], at: number, moment: number): Cue[] | null {
  const [cue, before] = [cues[at], cues[at - 1]]
  const start = toMs(Math.max(0, moment))
  if (!cue || (before && start < toMs(before.start + SHORTEST))) return null
  const by = start - cue.start
  return cues.map((each, i) => {
    if (i < at - 1) return each
    // The one before lasts until then: its end was a guess from its length.
    if (i === at - 1) return { ...each, end: start }
    return { ...each, start: toMs(each.start + by), end: toMs(each.end + by) }
  })
}

import type { Cue } from '../captions/cue'

/** Steps at which times are written on a strip, in seconds. */
const STEPS = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 900, 1800, 3600] as const
/** Two written times keep so far apart, in pixels. */
const APART = 64

/**
 * The times written along a strip.
 * @param scale pixels a second. @param shown what of it is in the window, in seconds.
 */
export function ticksOf(seconds: number, scale: number, shown: { start: number; end: number }): number[] {
  const step = STEPS.find(each => each * scale >= APART) ?? STEPS.at(-1)!
  const first = Math.max(0, Math.floor(shown.start / step) * step)
  const ticks: number[] = []
  for (let at = first; at <= Math.min(seconds, shown.end); at += step) ticks.push(at)
  return ticks
}

/** The beginning of a line that is nearest to a time, within a reach in seconds; `null` where none is. */
export function nearestStart(cues: readonly Cue[], at: number, reach: number): number | null {
  let [low, high] = [0, cues.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (cues[middle]!.start < at) low = middle + 1
    else high = middle
  }
  let best: number | null = null
  for (const cue of [cues[low - 1], cues[low]])
    if (cue && Math.abs(cue.start - at) <= reach && (best === null || Math.abs(cue.start - at) < Math.abs(best - at)))
      best = cue.start
  return best
}

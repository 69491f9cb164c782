import { detailOf } from './detail'
import type { LabRaster } from './raster'

/** A moment of a video as a picture could show it. */
export interface Frame {
  /** Seconds from the beginning. */
  at: number
  picture: LabRaster
}

/** Below this mean lightness a frame is too dark to be told, above the other too bright. */
const [DARK, BRIGHT] = [0.2, 0.95]

/** How far two pictures are apart: the mean distance in OKLab, pixel by pixel. Both are of the same size. */
function apart(one: LabRaster, other: LabRaster): number {
  let sum = 0
  for (let i = 0; i < one.l.length; i++)
    sum += Math.sqrt((one.l[i]! - other.l[i]!) ** 2 + (one.a[i]! - other.a[i]!) ** 2 + (one.b[i]! - other.b[i]!) ** 2)
  return sum / one.l.length
}

/**
 * The frames most worth looking at, in the order of the video: the sharpest and best lit first, each next one the best
 * of sharpness times its distance to the nearest of those taken.
 */
export function framesWorth<Each extends Frame>(frames: readonly Each[], most: number): Each[] {
  const worth = frames.map(({ picture }) => {
    const mean = picture.l.reduce((sum, l) => sum + l, 0) / picture.l.length
    return mean < DARK || mean > BRIGHT ? 0 : detailOf(picture).edges
  })
  const nearest = new Array<number>(frames.length).fill(1)
  const taken = new Set<number>()
  while (taken.size < Math.min(most, frames.length)) {
    let best = -1
    for (let i = 0; i < frames.length; i++)
      if (!taken.has(i) && (best < 0 || worth[i]! * nearest[i]! > worth[best]! * nearest[best]!)) best = i
    // What shows nothing new, or nothing, is not offered.
    if (worth[best]! * nearest[best]! <= 0) break
    taken.add(best)
    for (let i = 0; i < frames.length; i++)
      nearest[i] = Math.min(nearest[i]!, apart(frames[i]!.picture, frames[best]!.picture))
  }
  return frames.filter((_, i) => taken.has(i))
}

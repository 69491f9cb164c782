import { BADGE, detailOf } from './detail'
import type { LabRaster } from './raster'

/** The width in pixels at which a picture has to be told apart in a column of suggestions. */
export const SMALL_WIDTH = 120

/** What is left of a picture at 120 pixels, and what the length of the video hides. */
export interface Legible {
  /** From the darkest fiftieth of it to the lightest, 0 to 1, at 120 pixels. */
  contrast: number
  /** The share of the edges that survive at 120 pixels, 0 to 1; `null` where the picture has hardly any. */
  edgesKept: number | null
  /** Whether the length hides a good deal of the picture: more than its area's share of the edges, by half or more. */
  underLength: boolean
  /** The share of the edges that the length hides, 0 to 1. */
  hidden: number
}

/** Edges of less than this are none: a plain surface has no more. */
const PLAIN = 0.05
const CROWDED = 1.5

/** @param fine the picture at 360 pixels of width, as a list of results shows it. @param small the same at 120. */
export function legibleOf(fine: LabRaster, small: LabRaster): Legible {
  const sharp = detailOf(fine)
  const { edges } = detailOf(small)
  const lightness = small.l.toSorted()
  const at = (share: number) => lightness[Math.round(share * (lightness.length - 1))]!
  return {
    contrast: at(0.98) - at(0.02),
    edgesKept: sharp.edges < PLAIN ? null : Math.min(1, edges / sharp.edges),
    hidden: sharp.badge,
    underLength: sharp.edges >= PLAIN && sharp.badge > CROWDED * BADGE.width * BADGE.height,
  }
}

import type { LabRaster } from './raster'

const { floor, sqrt } = Math

/** A picture is looked at in three rows of three parts. */
export const PARTS = 3

/** Where the length of a video stands on its picture: so much of its width and height, at the lower right. */
export const BADGE = { width: 0.22, height: 0.2 }

/** A step of lightness that can just be seen: less is the grain of a camera. */
const SEEN = 0.02

/** What tells the things on a picture apart: how strong its edges are, and where they are. */
export interface Detail {
  /**
   * The length of every edge, in heights of the picture, times its step of lightness. A picture has the same at any
   * size for as long as its edges survive.
   */
  edges: number
  /** The share of them in each of nine parts, row by row; none has any where there are no edges. */
  parts: number[]
  /** The share of them where the length of the video stands. */
  badge: number
}

/** The edges of a picture by the steps of lightness between neighbours. */
export function detailOf({ width, height, l }: LabRaster): Detail {
  const parts = new Array<number>(PARTS * PARTS).fill(0)
  let edges = 0
  let badge = 0
  for (let y = 0; y + 1 < height; y++) {
    const row = floor((PARTS * y) / height)
    for (let x = 0; x + 1 < width; x++) {
      const at = y * width + x
      const across = l[at + 1]! - l[at]!
      const down = l[at + width]! - l[at]!
      const step = sqrt(across * across + down * down)
      if (step < SEEN) continue
      edges += step
      parts[row * PARTS + floor((PARTS * x) / width)]! += step
      if (x >= width * (1 - BADGE.width) && y >= height * (1 - BADGE.height)) badge += step
    }
  }
  const share = (part: number) => (edges > 0 ? part / edges : 0)
  return { edges: edges / height, parts: parts.map(share), badge: share(badge) }
}

import { convertOklabToRgb, serializeHex } from 'culori/fn'
import type { LabRaster } from './raster'

/** One of the colours that make up a picture, in OKLab, with the share of the picture it covers. */
export interface Swatch {
  l: number
  a: number
  b: number
  share: number
  /** As it is written for a screen. */
  hex: string
}

/** So many colours tell a small picture; more of them tell its shading. */
const COLOURS = 6
const ROUNDS = 16
/** Colours nearer to each other than this are one, in OKLab; a difference of .02 can just be seen side by side. */
const SAME = 0.04
/** What covers less is no colour of the picture. */
const LEAST_SHARE = 0.02

/** How far two colours are apart in OKLab. */
export const apart = (one: Pick<Swatch, 'l' | 'a' | 'b'>, other: Pick<Swatch, 'l' | 'a' | 'b'>) =>
  Math.hypot(one.l - other.l, one.a - other.a, one.b - other.b)

/**
 * The colours of a picture by k-means in OKLab, the largest first. It begins with the mean colour and goes on with the
 * pixel farthest from all chosen, so that the same picture always has the same colours.
 */
export function paletteOf(lab: LabRaster): Swatch[] {
  const { l, a, b } = lab
  const size = l.length
  const centres = firstCentres(lab)
  const of = new Uint8Array(size)
  for (let round = 0; round < ROUNDS; round++) {
    let moved = round === 0
    for (let i = 0; i < size; i++) {
      const nearest = nearestOf(centres, l[i]!, a[i]!, b[i]!)
      if (nearest !== of[i]) {
        of[i] = nearest
        moved = true
      }
    }
    if (!moved) break
    recentre(lab, of, centres)
  }
  const told = centres
    .filter(({ count }) => count > 0)
    .map(({ l, a, b, count }) => ({ l, a, b, share: count / size, hex: '' }))
  const kept = joinAlike(told).filter(({ share }) => share >= LEAST_SHARE)
  const all = kept.reduce((sum, { share }) => sum + share, 0)
  return kept.map(swatch => ({ ...swatch, share: swatch.share / all }))
}

interface Centre {
  l: number
  a: number
  b: number
  count: number
}

function firstCentres({ l, a, b }: LabRaster): Centre[] {
  const size = l.length
  const mean = (values: Float32Array) => values.reduce((sum, value) => sum + value, 0) / size
  const centres: Centre[] = [{ l: mean(l), a: mean(a), b: mean(b), count: 0 }]
  const distance = new Float32Array(size).fill(Infinity)
  while (centres.length < COLOURS) {
    const last = centres.at(-1)!
    let farthest = 0
    for (let i = 0; i < size; i++) {
      const gap = (l[i]! - last.l) ** 2 + (a[i]! - last.a) ** 2 + (b[i]! - last.b) ** 2
      if (gap < distance[i]!) distance[i] = gap
      if (distance[i]! > distance[farthest]!) farthest = i
    }
    if (distance[farthest]! < SAME ** 2) break
    centres.push({ l: l[farthest]!, a: a[farthest]!, b: b[farthest]!, count: 0 })
  }
  return centres
}

function nearestOf(centres: readonly Centre[], l: number, a: number, b: number): number {
  let nearest = 0
  let least = Infinity
  for (let k = 0; k < centres.length; k++) {
    const centre = centres[k]!
    const gap = (l - centre.l) ** 2 + (a - centre.a) ** 2 + (b - centre.b) ** 2
    if (gap < least) {
      least = gap
      nearest = k
    }
  }
  return nearest
}

function recentre({ l, a, b }: LabRaster, of: Uint8Array, centres: Centre[]): void {
  const sums = centres.map(() => ({ l: 0, a: 0, b: 0, count: 0 }))
  for (let i = 0; i < of.length; i++) {
    const sum = sums[of[i]!]!
    sum.l += l[i]!
    sum.a += a[i]!
    sum.b += b[i]!
    sum.count++
  }
  sums.forEach(({ l, a, b, count }, k) => {
    // One that nothing is nearest to stays where it was.
    centres[k] = count ? { l: l / count, a: a / count, b: b / count, count } : { ...centres[k]!, count: 0 }
  })
}

/** Colours that an eye takes for one are joined at their common middle. @returns the largest first. */
export function joinAlike(swatches: readonly Swatch[]): Swatch[] {
  const joined: Swatch[] = []
  for (const swatch of swatches.toSorted((one, other) => other.share - one.share)) {
    const alike = joined.find(other => apart(swatch, other) < SAME)
    if (!alike) {
      joined.push({ ...swatch })
      continue
    }
    const share = alike.share + swatch.share
    for (const axis of ['l', 'a', 'b'] as const)
      alike[axis] = (alike[axis] * alike.share + swatch[axis] * swatch.share) / share
    alike.share = share
  }
  for (const swatch of joined) swatch.hex = serializeHex(convertOklabToRgb(swatch))
  return joined.sort((one, other) => other.share - one.share)
}

import { detailOf, PARTS } from './detail'
import { joinAlike, paletteOf, type Swatch } from './palette'
import type { LabRaster } from './raster'
import { pageStandsOut } from './standOut'
import { HUES, hueOf, isGrey, LIGHTS, meanTones, tonesOf, type Hue, type Light, type Tones } from './tones'

/** How one picture looks: its colours, and where the things on it are. */
export interface PictureLook {
  palette: Swatch[]
  tones: Tones
  /** The share of its edges in each of nine parts, row by row. */
  parts: number[]
}

/** What the pictures of a page have in common, and what none of them has. */
export interface PageLook {
  /** How many pictures were looked at. */
  pictures: number
  /** The colours of all of them, each picture as much as any other, hue by hue. */
  palette: Swatch[]
  tones: Tones
  parts: number[]
  /** Hues that hardly any picture uses, and lightnesses. */
  freeHues: Hue[]
  freeLights: Light[]
  /** Parts, row by row, where the pictures of this page have hardly anything. */
  freeParts: number[]
  /** How far each is from the others, times 100, in order; `null` where they are too few. */
  standOut: number[] | null
}

/** What covers less of a page than this is hardly used. */
const HARDLY = 0.05
/** A part with less than half of an even share of the edges is hardly used. */
const EMPTY_PART = 0.5 / PARTS ** 2

/** @param colours the picture at some 48 pixels of width. @param small at 120. */
export function lookOf(colours: LabRaster, small: LabRaster): PictureLook {
  return { palette: paletteOf(colours), tones: tonesOf(colours), parts: detailOf(small).parts }
}

/** What a page's pictures look like together; `null` where there is none. */
export function pageLookOf(looks: readonly PictureLook[]): PageLook | null {
  if (!looks.length) return null
  const tones = meanTones(looks.map(each => each.tones))
  const parts = looks[0]!.parts.map((_, i) => looks.reduce((sum, look) => sum + look.parts[i]!, 0) / looks.length)
  return {
    pictures: looks.length,
    palette: pagePalette(looks),
    tones,
    parts,
    freeHues: HUES.map(({ id }) => id).filter(id => tones.hues[id] < HARDLY),
    freeLights: LIGHTS.filter(id => tones.lights[id] < HARDLY),
    freeParts: parts.flatMap((share, i) => (share < EMPTY_PART ? [i] : [])),
    standOut: pageStandsOut(looks.map(({ palette }) => palette)),
  }
}

/** The colours of all pictures as one strip: hue by hue, each from dark to light, and greys last. */
function pagePalette(looks: readonly PictureLook[]): Swatch[] {
  const all = looks.flatMap(({ palette }) => palette.map(swatch => ({ ...swatch, share: swatch.share / looks.length })))
  const place = ({ a, b }: Swatch) => (isGrey(a, b) ? HUES.length : HUES.findIndex(({ id }) => id === hueOf(a, b)))
  return joinAlike(all).sort((one, other) => place(one) - place(other) || one.l - other.l)
}

import type { LabRaster } from './raster'

/** The hues of a picture by their angle in OKLab, in degrees from `from` on, and greys, which have none. */
export const HUES = [
  { id: 'red', from: 10 },
  { id: 'orange', from: 45 },
  { id: 'yellow', from: 85 },
  { id: 'green', from: 125 },
  { id: 'teal', from: 165 },
  { id: 'blue', from: 220 },
  { id: 'violet', from: 285 },
  { id: 'pink', from: 320 },
] as const
export type Hue = (typeof HUES)[number]['id']

export const LIGHTS = ['dark', 'middle', 'light'] as const
export type Light = (typeof LIGHTS)[number]

/** Below this much colour a pixel is grey. */
const GREY = 0.04
/** Where dark ends and where light begins. */
const DARK = 0.4
const LIGHT = 0.75

/** What share of a picture has which hue and which lightness; the hues and grey make 1, so do the lightnesses. */
export interface Tones {
  hues: Record<Hue, number>
  grey: number
  lights: Record<Light, number>
}

/** Whether a colour has too little of it to be told apart from grey. */
export const isGrey = (a: number, b: number) => Math.hypot(a, b) < GREY

export function hueOf(a: number, b: number): Hue {
  const angle = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360
  return HUES.findLast(({ from }) => angle >= from)?.id ?? 'pink'
}

export const lightOf = (l: number): Light => (l < DARK ? 'dark' : l < LIGHT ? 'middle' : 'light')

export function tonesOf({ l, a, b }: LabRaster): Tones {
  const each = 1 / l.length
  const tones = noTones()
  for (let i = 0; i < l.length; i++) {
    if (isGrey(a[i]!, b[i]!)) tones.grey += each
    else tones.hues[hueOf(a[i]!, b[i]!)] += each
    tones.lights[lightOf(l[i]!)] += each
  }
  return tones
}

export const noTones = (): Tones => ({
  hues: Object.fromEntries(HUES.map(({ id }) => [id, 0])) as Tones['hues'],
  grey: 0,
  lights: { dark: 0, middle: 0, light: 0 },
})

/** The mean of several pictures' tones, each as much as any other. */
export function meanTones(all: readonly Tones[]): Tones {
  const mean = noTones()
  for (const { hues, grey, lights } of all) {
    for (const { id } of HUES) mean.hues[id] += hues[id] / all.length
    for (const id of LIGHTS) mean.lights[id] += lights[id] / all.length
    mean.grey += grey / all.length
  }
  return mean
}

import { z } from 'zod'
import type { Box } from '../release/endScreen'
import type { Picture } from './picture'

/** What a made thumbnail measures, in pixels. */
export const DESIGN = { width: 1280, height: 720 } as const

/** Where the headline stands. */
export const LAYOUTS = ['left', 'right', 'above', 'below', 'none'] as const
export type Layout = (typeof LAYOUTS)[number]
export const LAYOUT_NAMES: Record<Layout, string> = {
  left: 'Words at the left',
  right: 'Words at the right',
  above: 'Words above',
  below: 'Words below',
  none: 'No words',
}

/** The room of the headline, in shares of the frame; the length stands in the lower right corner. */
export const HEADLINE_ROOM: Record<Exclude<Layout, 'none'>, Box> = {
  left: { x: 0.04, y: 0.1, width: 0.44, height: 0.8 },
  right: { x: 0.52, y: 0.08, width: 0.44, height: 0.72 },
  above: { x: 0.04, y: 0.06, width: 0.92, height: 0.3 },
  below: { x: 0.04, y: 0.64, width: 0.76, height: 0.31 },
}

/** The longest headline: more is not read at the size of a stamp. */
export const MOST_HEADLINE = 60
export const MOST_LAYERS = 2

const share = z.number().min(0).max(1)
const amount = z.number().min(-1).max(1)
const colour = z.string().regex(/^#[0-9a-f]{6}$/iu, 'A colour is six hexadecimal digits, as in #1d2733.')

/** @param pictures the schema of a kept picture. */
export const designSchemaOf = (pictures: z.ZodType<Picture>) =>
  z.object({
    layout: z.enum(LAYOUTS),
    background: z.object({
      picture: pictures,
      /** How often it is as large as it must be to fill the frame. */
      zoom: z.number().min(1).max(4),
      /** What of it is in the middle, as far as that leaves no gap. */
      x: share,
      y: share,
      /** Of what it is as it came: -1 takes all of it, 1 doubles it. */
      light: amount,
      contrast: amount,
      saturation: amount,
    }),
    headline: z.object({
      text: z.string().max(MOST_HEADLINE, `A headline can be ${MOST_HEADLINE} characters at most.`),
      /** Of the largest size that fits its room. */
      size: z.number().min(0.3).max(1),
      colour,
      /** `null` for none. */
      outline: colour.nullable(),
      shadow: z.boolean(),
    }),
    /** Pictures on top, the last one uppermost. */
    layers: z
      .array(
        z.object({
          picture: pictures,
          x: share,
          y: share,
          /** Of the frame. */
          width: z.number().min(0.05).max(1),
        }),
      )
      .max(MOST_LAYERS, `${MOST_LAYERS} pictures can lie on top.`),
  })
export type Design = z.infer<ReturnType<typeof designSchemaOf>>

/** A design to begin with. @param headline what it says. */
export const newDesign = (picture: Picture, headline: string): Design => ({
  layout: 'left',
  background: { picture, zoom: 1, x: 0.5, y: 0.5, light: 0, contrast: 0, saturation: 0 },
  headline: { text: headline.slice(0, MOST_HEADLINE), size: 1, colour: '#ffffff', outline: '#1d2733', shadow: true },
  layers: [],
})

/**
 * Where a picture lies so that it fills the frame: scaled, and moved as far as leaves no gap.
 * @returns in pixels of the frame.
 */
export function backgroundBox(
  { width, height }: Pick<Picture, 'width' | 'height'>,
  { zoom, x, y }: Pick<Design['background'], 'zoom' | 'x' | 'y'>,
): Box {
  const scale = Math.max(DESIGN.width / width, DESIGN.height / height) * zoom
  const [w, h] = [width * scale, height * scale]
  const from = (all: number, frame: number, at: number) => Math.min(0, Math.max(frame - all, frame / 2 - at * all))
  return { x: from(w, DESIGN.width, x), y: from(h, DESIGN.height, y), width: w, height: h }
}

/** The same place for a picture that was drawn elsewhere: what of it is in the middle then. */
export function backgroundAt(
  { width, height }: Pick<Picture, 'width' | 'height'>,
  zoom: number,
  left: number,
  top: number,
): { x: number; y: number } {
  const scale = Math.max(DESIGN.width / width, DESIGN.height / height) * zoom
  const within = (value: number) => Math.min(1, Math.max(0, value))
  return {
    x: within((DESIGN.width / 2 - left) / (width * scale)),
    y: within((DESIGN.height / 2 - top) / (height * scale)),
  }
}

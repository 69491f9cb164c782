import { segments } from '../text/segments'
import { cutAt, widthInEms } from '../text/width'
import type { LimitProfile } from './limits'
import { openingOf } from './places'

/** Where a viewer meets a video. */
export const SURFACES = ['phone', 'list', 'column', 'watch', 'web', 'playlist'] as const
export type Surface = (typeof SURFACES)[number]

export const SURFACE_NAMES: Record<Surface, string> = {
  phone: 'Phone',
  list: 'List',
  column: 'Column',
  watch: 'Watch page',
  web: 'Web',
  playlist: 'Playlist',
}

/** How much of a title each surface shows, by the profile's widths; `null` for all of it. */
const WIDTHS: Record<Surface, keyof LimitProfile['surfaces'] | null> = {
  phone: 'phone',
  list: 'desktopList',
  column: 'suggestion',
  watch: null,
  web: 'desktopList',
  playlist: 'suggestion',
}
/** Surfaces that show the opening of the description. */
const WITH_OPENING = new Set<Surface>(['list', 'watch', 'web'])
const DOTS = '…'

/** A text as it is shown: whole, or cut with dots at the end. */
export interface Shown {
  text: string
  cut: boolean
}

/** A text cut to a width in ems with its dots, no character in two; whole where it fits. */
export function shownIn(text: string, ems: number): Shown {
  if (cutAt(text, ems) >= text.length) return { text, cut: false }
  let end = 0
  const room = cutAt(text, ems - widthInEms(DOTS))
  for (const sign of segments(text, 'grapheme')) {
    if (sign.start + sign.text.length > room) break
    end = sign.start + sign.text.length
  }
  return { text: text.slice(0, end).trimEnd() + DOTS, cut: true }
}

/** What of a video a surface shows. An opening is one line: line breaks become spaces. */
export function preview(
  title: string,
  description: string,
  surface: Surface,
  profile: LimitProfile,
): { title: Shown; opening: Shown | null } {
  const width = WIDTHS[surface]
  const flat = title.replace(/\s+/gu, ' ').trim()
  const opening = openingOf(description.trimStart(), profile)
  return {
    title: width === null ? { text: flat, cut: false } : shownIn(flat, profile.surfaces[width]),
    opening:
      WITH_OPENING.has(surface) && opening.trim()
        ? {
            text: opening.replace(/\s+/gu, ' ').trim() + (opening.length < description.trim().length ? DOTS : ''),
            cut: opening.length < description.trim().length,
          }
        : null,
  }
}

/** My place among others by a forecast's likely ranks: the middle of them, 1 for the first. */
export const likelyPlace = ([low, high]: readonly [number, number]) => Math.round((low + high) / 2)

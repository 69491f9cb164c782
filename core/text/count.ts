import { segments, signStart } from './segments'

/** The units in which a site may state a limit. */
export const UNITS = ['utf16', 'codePoints', 'graphemes', 'bytes'] as const
export type Unit = (typeof UNITS)[number]

const ASCII = /^[\x00-\x7f]*$/

/**
 * The exact length of a text in a unit. Bytes are UTF-8; a lone surrogate counts three, as
 * its replacement character does. Graphemes are extended clusters (Unicode annex 29).
 */
export function count(text: string, unit: Unit): number {
  if (unit === 'utf16') return text.length
  if (ASCII.test(text)) return unit === 'graphemes' ? text.length - (text.match(/\r\n/g)?.length ?? 0) : text.length
  if (unit === 'graphemes') {
    let clusters = 0
    for (const _ of segments(text, 'grapheme')) clusters++
    return clusters
  }
  let total = 0
  for (const point of text) {
    const code = point.codePointAt(0)!
    total += unit === 'codePoints' ? 1 : code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4
  }
  return total
}

/**
 * The longest beginning of `text` that is at most `limit` units long, never cut inside a
 * grapheme cluster. Used where a fix shortens a text.
 */
export function head(text: string, limit: number, unit: Unit): string {
  if (count(text, unit) <= limit) return text
  let used = 0
  if (unit === 'graphemes') {
    for (const cluster of segments(text, 'grapheme')) if (++used > limit) return text.slice(0, cluster.start)
    return text
  }
  // Only the cluster at the limit is looked at: to cut a long text into all of its clusters takes many times as long.
  for (let at = 0; at < text.length;) {
    const point = String.fromCodePoint(text.codePointAt(at)!)
    used += count(point, unit)
    if (used > limit) return text.slice(0, signStart(text, at))
    at += point.length
  }
  return text
}

/** Offsets in UTF-16 of the first `points` code points: where an opening of that length ends. */
export function codePointOffset(text: string, points: number): number {
  let offset = 0
  for (let seen = 0; seen < points && offset < text.length; seen++) offset += text.codePointAt(offset)! > 0xffff ? 2 : 1
  return offset
}

import advances from './plexSansAdvances.json'

/** Ems for a character the shipped font lacks: a wide script takes a whole em, others a mean letter. */
const WIDE = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Extended_Pictographic}]/u
const OTHER = 0.58
const UNITS_PER_EM = advances.unitsPerEm
const table = new Map<number, number>()
for (const [first, ...widths] of advances.runs as number[][]) widths.forEach((width, i) => table.set(first! + i, width))

/**
 * Width of a text in ems of the shipped text font, without kerning: the same on every machine,
 * unlike a browser's measurement. `scripts/font-advances.mjs` makes the table.
 */
export function widthInEms(text: string): number {
  let units = 0
  for (const point of text) {
    units += table.get(point.codePointAt(0)!) ?? (WIDE.test(point) ? UNITS_PER_EM : OTHER * UNITS_PER_EM)
  }
  return units / UNITS_PER_EM
}

/** Whether a text fits a width in ems. */
export const fitsEms = (text: string, ems: number) => widthInEms(text) <= ems

/** UTF-16 offset at which a surface of so many ems cuts the text; its length when all fits. */
export function cutAt(text: string, ems: number): number {
  let units = 0
  let offset = 0
  for (const point of text) {
    units += table.get(point.codePointAt(0)!) ?? (WIDE.test(point) ? UNITS_PER_EM : OTHER * UNITS_PER_EM)
    if (units / UNITS_PER_EM > ems) return offset
    offset += point.length
  }
  return offset
}

/** Marks what only the maker of the video can say. */
export const GAP = '[…]'

/** A gap that names what belongs in it, such as a word that nobody translated. */
export const gapFor = (what: string) => `[… ${what}]`

/** Where gaps are left in a text, with or without a name: UTF-16, half-open. Three dots in brackets are one as well. */
export function gapsOf(text: string): { start: number; end: number }[] {
  return [...text.matchAll(/\[(?:…|\.\.\.)(?: [^[\]\n]{1,80})?\]/gu)].map(({ index, 0: { length } }) => ({
    start: index,
    end: index + length,
  }))
}

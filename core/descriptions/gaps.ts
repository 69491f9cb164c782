/** Marks what only the maker of the video can say. */
export const GAP = '[…]'

/** Where gaps are left in a text: UTF-16, half-open. Three dots in brackets are one as well. */
export function gapsOf(text: string): { start: number; end: number }[] {
  return [...text.matchAll(/\[(?:…|\.\.\.)\]/gu)].map(({ index, 0: { length } }) => ({
    start: index,
    end: index + length,
  }))
}

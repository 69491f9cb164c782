/** A hashtag in a description, with the offset of its sign. */
export interface Hashtag {
  text: string
  start: number
}

const HASHTAG = /(?<![\p{L}\p{N}_&/#])#([\p{L}\p{M}\p{N}_]+)/gu

/** Hashtags in order: letters, digits and underscores of any script after the sign; a bare number is none. */
export function hashtagsOf(description: string): Hashtag[] {
  const found: Hashtag[] = []
  for (const hit of description.matchAll(HASHTAG)) {
    if (/\p{L}/u.test(hit[1]!)) found.push({ text: hit[0], start: hit.index })
  }
  return found
}

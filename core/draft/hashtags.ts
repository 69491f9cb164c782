import { asSentence } from './check'

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

/**
 * A phrase as one hashtag: its words run together, each but the first with a capital; '' for a phrase without letters.
 *
 * @example hashtagFor('bike chain', 'en') // '#bikeChain'
 */
export function hashtagFor(phrase: string, language: string): string {
  const words = phrase.match(/[\p{L}\p{M}\p{N}]+/gu) ?? []
  const tag = words.map((word, i) => (i ? asSentence(word, language) : word)).join('')
  return /\p{L}/u.test(tag) ? `#${tag}` : ''
}

/** A description with one more hashtag at its end: on the line of those that end it, else on one of its own. */
export function withHashtag(description: string, tag: string): string {
  const text = description.trimEnd()
  return `${text}${/(?:^|\s)#[\p{L}\p{N}_]+$/u.test(text) ? ' ' : '\n\n'}${tag}`.trimStart()
}

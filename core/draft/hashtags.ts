import type { Match, ReadPhrase } from '../text/match'
import { stopWords } from '../text/stopwords'
import { fold, normaliseWord } from '../text/words'
import { asSentence } from './check'

/** A hashtag in a description, with the offset of its sign. */
export interface Hashtag {
  text: string
  start: number
}

/** Several checks ask of one text. */
let last: { description: string; hashtags: readonly Hashtag[] } | null = null

const HASHTAG = /(?<![\p{L}\p{N}_&/#])#([\p{L}\p{M}\p{N}_]+)/gu

/** Hashtags in order: letters, digits and underscores of any script after the sign; a bare number is none. */
export function hashtagsOf(description: string): readonly Hashtag[] {
  if (last?.description !== description) last = { description, hashtags: findHashtags(description) }
  return last.hashtags
}

function findHashtags(description: string): Hashtag[] {
  if (!description.includes('#')) return []
  const found: Hashtag[] = []
  for (const hit of description.matchAll(HASHTAG)) {
    if (/\p{L}/u.test(hit[1]!)) found.push({ text: hit[0], start: hit.index })
  }
  return found
}

/** A hashtag of more words cannot be read. */
const MOST_WORDS = 3

/**
 * A phrase as one hashtag: its content words run together, each but the first with a capital, of a long phrase the last
 * two; '' for a phrase without letters.
 *
 * @example hashtagFor('how to clean a bike chain', 'en') // '#cleanBikeChain'
 */
export function hashtagFor(phrase: string, language: string): string {
  const stops = stopWords(language)
  const all = phrase.match(/[\p{L}\p{M}\p{N}]+/gu) ?? []
  const content = all.filter(word => !stops.has(normaliseWord(word)))
  const words = content.length > MOST_WORDS ? content.slice(-2) : content.length ? content : all
  const tag = words.map((word, i) => (i ? asSentence(word, language) : word)).join('')
  return /\p{L}/u.test(tag) ? `#${tag}` : ''
}

/**
 * How a phrase stands in a hashtag, whose words run together: exact where it is all of the phrase, ordered where it is
 * its content words, scattered where it holds all of them.
 */
export function matchHashtag(phrase: ReadPhrase, hashtag: string): Match {
  const text = fold(hashtag.toLowerCase()).replace(/[#_]/gu, '')
  const ranges = [{ start: hashtag.startsWith('#') ? 1 : 0, end: hashtag.length }]
  if (!phrase.norms.length) return { grade: 'none', share: 0, ranges: [] }
  if (text === phrase.norms.join('')) return { grade: 'exact', share: 1, ranges }
  const content = phrase.norms.filter((_, i) => phrase.content.includes(phrase.stems[i]!))
  if (content.length && text === content.join('')) return { grade: 'ordered', share: 1, ranges }
  const held = content.filter(norm => text.includes(norm))
  const share = content.length ? held.length / content.length : 0
  if (share === 1) return { grade: 'scattered', share, ranges }
  return share >= 0.5 ? { grade: 'fragment', share, ranges } : { grade: 'none', share: 0, ranges: [] }
}

/** A description with one more hashtag at its end: on the line of those that end it, else on one of its own. */
export function withHashtag(description: string, tag: string): string {
  const text = description.trimEnd()
  return `${text}${/(?:^|\s)#[\p{L}\p{N}_]+$/u.test(text) ? ' ' : '\n\n'}${tag}`.trimStart()
}

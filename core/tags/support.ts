import { distance } from 'fastest-levenshtein'
import { remembering } from '../text/remembering'
import { readPhrase, type ReadPhrase, type ReadText } from '../text/match'

/** A word this long may be misspelt by two letters and still be the same word; a shorter one by one. */
const LONG_WORD = 8
/** Shorter words differ too easily by one letter to be taken for misspellings. */
const SHORT_WORD = 5
/** More than this part of a tag's content words must be there: “bike hire” is not about any bike. */
const HALF = 0.5

/**
 * Tells of tags whether texts and phrases bear them out: more than half of a tag's content words stand there, or
 * are misspellings of words of the title or the phrases. `null` where there is nothing to compare with.
 *
 * @param title @param texts all of them, the title too. @param language BCP 47.
 */
export function tagSupport(
  title: ReadText | undefined,
  texts: readonly ReadText[],
  phrases: readonly ReadPhrase[],
  language: string,
): ((tag: string) => boolean) | null {
  if (!texts.some(text => text.byStem.size) && !phrases.some(phrase => phrase.stems.length)) return null
  const isThere = (stem: string) =>
    texts.some(text => text.byStem.has(stem)) || phrases.some(phrase => phrase.stems.includes(stem))
  const spellings = [...new Set([...(title?.norms ?? []), ...phrases.flatMap(phrase => phrase.norms)])].filter(
    word => word.length >= SHORT_WORD,
  )
  // Tags of one video share most of their words.
  const misspells = remembering(
    500,
    norm =>
      norm.length >= SHORT_WORD &&
      spellings.some(word => {
        const most = word.length >= LONG_WORD ? 2 : 1
        const longer = word.length - norm.length
        return longer <= most && -longer <= most && distance(norm, word) <= most
      }),
  )
  return tag => {
    const read = readPhrase(tag, language)
    if (!read.content.length) return true
    let borne = 0
    read.norms.forEach((norm, i) => {
      const stem = read.stems[i]!
      if (read.content.includes(stem) && (isThere(stem) || misspells(norm))) borne++
    })
    return borne / read.content.length > HALF
  }
}

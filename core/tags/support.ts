import { distance } from 'fastest-levenshtein'
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
  const stems = new Set(texts.flatMap(text => [...text.byStem.keys()]))
  const spellings = new Set<string>(title?.norms ?? [])
  for (const phrase of phrases) {
    phrase.stems.forEach(stem => stems.add(stem))
    phrase.norms.forEach(norm => spellings.add(norm))
  }
  if (!stems.size) return null
  const misspells = (norm: string) =>
    norm.length >= SHORT_WORD &&
    [...spellings].some(word => word.length >= SHORT_WORD && distance(norm, word) <= (word.length >= LONG_WORD ? 2 : 1))
  return tag => {
    const read = readPhrase(tag, language)
    if (!read.content.length) return true
    const content = new Set(read.content)
    const borne = read.norms.filter(
      (norm, i) => content.has(read.stems[i]!) && (stems.has(read.stems[i]!) || misspells(norm)),
    ).length
    return borne / read.content.length > HALF
  }
}

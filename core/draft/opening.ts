import { asSentence } from './check'
import { chaptersOf } from '../chapters/lines'
import { linksOf } from './links'
import { firstLineOf } from './places'

/**
 * A description that begins with a phrase: in front of its first sentence, or on a line of its own where the first line
 * is none (a chapter, a link, hashtags, a list), which would stop being one behind other words.
 */
export function begunWith(description: string, phrase: string, language: string): string {
  const front = asSentence(phrase, language)
  const rest = description.trimStart()
  if (!rest) return `${front}. `
  const line = firstLineOf(rest)
  const isSentence =
    /^[\p{L}\p{N}"“„«¿¡‘'(]/u.test(line.text) &&
    !chaptersOf(line.text).length &&
    !linksOf(line.text).some(link => link.start === 0)
  return isSentence ? `${front}: ${rest}` : `${front}.\n\n${rest}`
}

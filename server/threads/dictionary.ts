import type NSpell from 'nspell'
import { primaryLanguage } from '../../core/text/stems'

let english: Promise<NSpell> | undefined

/** Read when first asked for: it takes some 200 ms and 40 MB. */
async function loadEnglish(): Promise<NSpell> {
  const [{ default: nspell }, { default: dictionary }] = await Promise.all([import('nspell'), import('dictionary-en')])
  return nspell({ aff: Buffer.from(dictionary.aff), dic: Buffer.from(dictionary.dic) })
}

/**
 * Tells whether a word is correct in a language. Where no dictionary ships, no word is known to be: callers have the
 * words of known phrases besides.
 */
export async function dictionaryOf(language: string): Promise<(word: string) => boolean> {
  if (primaryLanguage(language) !== 'en') return () => false
  const dictionary = await (english ??= loadEnglish())
  // Both ways of English are words: colour and color.
  return word => dictionary.correct(word) || dictionary.correct(word.slice(0, 1).toUpperCase() + word.slice(1))
}

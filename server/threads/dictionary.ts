import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import nspell from 'nspell'
import { primaryLanguage } from '../../core/text/stems'

type Dictionary = ReturnType<typeof nspell>
/** British and American spelling: both are right. */
const ENGLISH = ['dictionary-en-gb', 'dictionary-en']
let english: Promise<Dictionary[]> | undefined

async function load(name: string): Promise<Dictionary> {
  const folder = join(process.env.FONETRA_HOME ?? process.cwd(), 'node_modules', name)
  const [aff, dic] = await Promise.all([readFile(join(folder, 'index.aff')), readFile(join(folder, 'index.dic'))])
  return nspell({ aff, dic })
}

/**
 * Tells whether a word is correct in a language. Where no dictionary ships, no word is known to be: callers have the
 * words of known phrases besides. English is read when first asked for, in some 400 ms.
 */
export async function dictionaryOf(language: string): Promise<(word: string) => boolean> {
  if (primaryLanguage(language) !== 'en') return () => false
  const dictionaries = await (english ??= Promise.all(ENGLISH.map(load)))
  return word => {
    const named = word.slice(0, 1).toUpperCase() + word.slice(1)
    return dictionaries.some(dictionary => dictionary.correct(word) || dictionary.correct(named))
  }
}

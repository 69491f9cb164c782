/// <reference path="./snowball-stemmers.d.ts" />
import { newStemmer } from 'snowball-stemmers'

/** Snowball's algorithm for each language we stem; others are compared as written. */
const ALGORITHMS: Record<string, string> = {
  da: 'danish', de: 'german', en: 'english', es: 'spanish', fi: 'finnish', fr: 'french', hu: 'hungarian',
  it: 'italian', nl: 'dutch', nb: 'norwegian', no: 'norwegian', pt: 'portuguese', ro: 'romanian', ru: 'russian',
  sv: 'swedish', tr: 'turkish',
}

/** No longer than any real word: what is longer is not remembered. */
const LONGEST_WORD = 60
/** Past this many words a memo starts anew, so that a long-lived server does not grow. */
const MEMO_LIMIT = 60_000

export type Stemmer = (norm: string) => string

const stemmers = new Map<string, Stemmer>()
const same: Stemmer = norm => norm

/** The primary subtag of a BCP 47 tag, lower case: `en-GB` gives `en`. */
export function primaryLanguage(language: string): string {
  return language.split('-')[0]!.toLowerCase()
}

/**
 * A memoised stemmer for a language.
 * @param language BCP 47; region and script are ignored. Unknown languages get identity.
 */
export function stemmerFor(language: string): Stemmer {
  const primary = primaryLanguage(language)
  const known = stemmers.get(primary)
  if (known) return known
  const algorithm = ALGORITHMS[primary]
  if (!algorithm) return same
  const made = memoise(newStemmer(algorithm))
  stemmers.set(primary, made)
  return made
}

function memoise(stemmer: { stem(word: string): string }): Stemmer {
  let memo = new Map<string, string>()
  return (norm) => {
    if (norm.length > LONGEST_WORD) return norm
    let stem = memo.get(norm)
    if (stem === undefined) {
      if (memo.size >= MEMO_LIMIT) memo = new Map()
      stem = stemmer.stem(norm)
      memo.set(norm, stem)
    }
    return stem
  }
}

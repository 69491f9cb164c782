/// <reference path="./snowball-stemmers.d.ts" />
import { newStemmer } from 'snowball-stemmers'

/** Snowball's algorithm for each language we stem; others are compared as written. */
const ALGORITHMS: Record<string, string> = {
  da: 'danish',
  de: 'german',
  en: 'english',
  es: 'spanish',
  fi: 'finnish',
  fr: 'french',
  hu: 'hungarian',
  it: 'italian',
  nl: 'dutch',
  nb: 'norwegian',
  no: 'norwegian',
  pt: 'portuguese',
  ro: 'romanian',
  ru: 'russian',
  sv: 'swedish',
  tr: 'turkish',
}

/** No longer than any real word: what is longer is not remembered. */
const LONGEST_WORD = 60
/** Past this many words a memo starts anew, so that a long-lived server does not grow. */
const MEMO_LIMIT = 60_000

export type Stemmer = (norm: string) => string

/** Korean particles mark a noun's part in the sentence; some depend on its last sound. */
type Particle = [particle: string, least: number, fits: (final: number) => boolean]
const [FIRST_SYLLABLE, LAST_SYLLABLE, FINALS, RIEUL] = [0xac00, 0xd7a3, 28, 8]
const any = () => true
const consonant = (final: number) => final !== 0
const vowel = (final: number) => final === 0
/**
 * Each with how many syllables stay before it at least (a short one ends many nouns), and the sounds it can follow. The
 * longest come first.
 */
const KOREAN: Particle[] = [
  ...['에서', '에게', '한테', '까지', '부터', '보다', '처럼', '하고', '마다'].map((each): Particle => [each, 1, any]),
  ['으로', 1, consonant],
  ['이나', 2, consonant],
  ['이랑', 1, consonant],
  ['을', 1, consonant],
  ['은', 1, consonant],
  ['이', 2, consonant],
  ['과', 2, consonant],
  ['를', 1, vowel],
  ['는', 1, vowel],
  ['가', 2, vowel],
  ['와', 2, vowel],
  ['로', 2, final => final === 0 || final === RIEUL],
  ...['에', '의', '도', '만'].map((each): Particle => [each, 2, any]),
]

/** A Korean word without the particle at its end, where one can stand there. */
function withoutParticle(word: string): string {
  for (const [particle, least, fits] of KOREAN) {
    const rest = word.length - particle.length
    if (rest < least || !word.endsWith(particle)) continue
    const last = word.charCodeAt(rest - 1)
    if (last >= FIRST_SYLLABLE && last <= LAST_SYLLABLE && fits((last - FIRST_SYLLABLE) % FINALS))
      return word.slice(0, rest)
  }
  return word
}

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
  if (primary === 'ko') return withoutParticle
  const algorithm = ALGORITHMS[primary]
  if (!algorithm) return same
  const made = memoise(newStemmer(algorithm))
  stemmers.set(primary, made)
  return made
}

function memoise(stemmer: { stem(word: string): string }): Stemmer {
  let memo = new Map<string, string>()
  return norm => {
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

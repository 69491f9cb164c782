import { doubleMetaphone } from 'double-metaphone'
import { primaryLanguage } from '../text/stems'
import { stopWords } from '../text/stopwords'
import { words } from '../text/words'

/** A word written wrongly, as people do, and how likely that is beside the others, 0 to 1. */
export interface Misspelling {
  word: string
  likely: number
}

/** Shorter words have too few letters to be wrong in and still be known. */
const SHORTEST = 5
/** Longer ones are no words; to try every slip of them would take seconds. */
const LONGEST = 24
const pairs = (list: string) => list.split('|').map(pair => pair.split(' ') as unknown as readonly [string, string])
/** Letters beside each other on a keyboard, row by row. */
const ROWS = ['qwertyuiop', 'asdfghjkl', 'zxcvbnm']
/** Spellings and what is written for them by ear, the commonest first. */
const ALIKE: Record<string, readonly (readonly [string, string])[]> = {
  en: pairs(
    'ei ie|ie ei|eur er|our or|ou u|ea ee|ee ea|ph f|ck k|tch ch|dge ge|able ible|ible able|ance ence|ence ance|ant ent|ent ant|ai a|ey y|y i|s z|z s|s c|c s|c k|or er|ar er|er ar|au a|x cks|eau o|augh aff|gue g|sc s|cc c|wh w|ough uff',
  ),
  de: pairs('ie i|ß ss|ss s|äu eu|ä e|v f|tz z|ck k|dt t|ah a|eh e|oh o|ih i|y i|th t|rh r'),
  es: pairs('b v|v b|ll y|y ll|h |z s|s z|c s|j g|g j|x s|qu k|á a|é e|í i|ó o|ú u'),
}
/** Letters that are often doubled wrongly. */
const DOUBLED = 'lmnprstf'
const LIKELY = { sound: 1, doubled: 0.95, swapped: 0.6, vowel: 0.55, left: 0.4, neighbour: 0.25 }
const VOWELS = 'aeiou'
const LATIN = /^[\p{Script=Latin}]+$/u

const soundOf = (word: string) => doubleMetaphone(word).join('/')

/** Every way a word is written wrongly by one slip, with how likely the kind of slip is. */
function* slips(word: string, language: string): Generator<[string, number]> {
  const alike = ALIKE[language] ?? []
  for (const [i, [from, to]] of alike.entries())
    for (let at = word.indexOf(from, 1); at >= 0; at = word.indexOf(from, at + 1))
      yield [word.slice(0, at) + to + word.slice(at + from.length), LIKELY.sound * (1 - i / (2 * alike.length))]
  for (let i = 1; i < word.length; i++) {
    const [before, here] = [word[i - 1]!, word[i]!]
    if (before === here) yield [word.slice(0, i) + word.slice(i + 1), LIKELY.doubled]
    else {
      if (DOUBLED.includes(here) && VOWELS.includes(before) && VOWELS.includes(word[i + 1] ?? ''))
        yield [word.slice(0, i) + here + word.slice(i), LIKELY.doubled * 0.7]
      yield [word.slice(0, i - 1) + here + before + word.slice(i + 1), LIKELY.swapped]
      if (i < word.length - 1) yield [word.slice(0, i) + word.slice(i + 1), LIKELY.left]
    }
    if (VOWELS.includes(here))
      for (const vowel of VOWELS) if (vowel !== here) yield [word.slice(0, i) + vowel + word.slice(i + 1), LIKELY.vowel]
    const row = ROWS.find(each => each.includes(here))
    const key = row?.indexOf(here) ?? -1
    for (const near of [row?.[key - 1], row?.[key + 1]])
      if (near) yield [word.slice(0, i) + near + word.slice(i + 1), LIKELY.neighbour]
  }
}

/** Slips that come in twos: each likely by itself, as in a doubled letter left out of a word that sounds otherwise. */
const PAIRED = 0.8
/** Slips so common that the sound, which is only a rule of thumb, has little to say. */
const SURE = 0.96

/**
 * Likely misspellings of a word, the likeliest first: by sound, doubled letters, letters swapped or left out,
 * neighbouring keys. One that still sounds as the word does is likelier than one that does not.
 *
 * @param word in lower case. @param language BCP 47; scripts other than Latin have none.
 * @param isWord whether something is a correct word: that is never a misspelling.
 */
export function misspellings(
  word: string,
  language: string,
  isWord: (word: string) => boolean,
  most = 8,
): Misspelling[] {
  if (word.length < SHORTEST || word.length > LONGEST || !LATIN.test(word)) return []
  const sound = soundOf(word)
  const found = new Map<string, number>()
  const add = (wrong: string, likely: number) => {
    if (wrong === word || wrong.length < SHORTEST - 1) return
    const weighed = likely * (soundOf(wrong) === sound ? 1 : likely > SURE ? 0.95 : 0.45)
    if (weighed > (found.get(wrong) ?? 0)) found.set(wrong, weighed)
  }
  for (const [wrong, likely] of slips(word, primaryLanguage(language))) {
    add(wrong, likely)
    if (likely < PAIRED) continue
    for (const [twice, again] of slips(wrong, primaryLanguage(language)))
      if (again >= PAIRED) add(twice, likely * again * 0.8)
  }
  return [...found]
    .sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1))
    .filter(([wrong]) => !isWord(wrong))
    .slice(0, most)
    .map(([wrong, likely]) => ({ word: wrong, likely }))
}

/** A phrase with one of its words misspelt. */
export interface MisspeltPhrase {
  phrase: string
  of: string
  likely: number
}

/** Misspellings of phrases, one word wrong in each, the likeliest first. */
export function misspeltPhrases(
  phrases: readonly string[],
  language: string,
  isWord: (word: string) => boolean,
  most = 400,
): MisspeltPhrase[] {
  const stops = stopWords(language)
  const known = new Set(phrases.map(phrase => phrase.toLowerCase()))
  const found = new Map<string, MisspeltPhrase>()
  const ofWord = new Map<string, Misspelling[]>()
  for (const phrase of phrases)
    for (const { form, norm, start, end } of words(phrase, language)) {
      if (stops.has(norm)) continue
      const wrongs = ofWord.get(form) ?? misspellings(form, language, isWord)
      ofWord.set(form, wrongs)
      // A long word is got wrong more often.
      const hard = Math.min(1, form.length / 10)
      for (const { word, likely } of wrongs) {
        const wrong = phrase.slice(0, start) + word + phrase.slice(end)
        if (!known.has(wrong.toLowerCase()) && !found.has(wrong))
          found.set(wrong, { phrase: wrong, of: phrase, likely: likely * hard })
      }
    }
  return [...found.values()].sort((a, b) => b.likely - a.likely || (a.phrase < b.phrase ? -1 : 1)).slice(0, most)
}

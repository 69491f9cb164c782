import { segments } from './segments'

/** Characters of the longest phrase or seed that is taken: nobody searches for more. */
export const MAX_PHRASE = 200

/**
 * Words of a text, with the offsets at which they stand.
 *
 * A word is a run of letters, marks and digits; an apostrophe may stand inside it, a hyphen
 * splits it. Scripts written without spaces are cut by `Intl.Segmenter`; for all others a
 * regular expression does the same about eighty times faster, which is what lets every
 * keystroke be scored.
 */
export interface Word {
  /** Normalised: NFKC, lower case, diacritics folded, an elided article before it left out. By it words are found. */
  norm: string
  /**
   * As written, but for case and compatibility forms. Where two words have one norm but not one form, they are close,
   * not the same.
   */
  form: string
  /** UTF-16 offsets into the raw string, half-open. */
  start: number
  end: number
}

const WORD = /[\p{L}\p{N}\p{M}]+(?:['’ʼ＇][\p{L}\p{M}]+)*/gu
const PLAIN = /^[a-z0-9]*$/
const UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u
/**
 * Accents are folded where they vary a letter; vowel signs and voicing marks of other scripts are letters of their own.
 */
const ACCENTED = /([\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}])\p{M}+/gu
/** Letters that people without them on their keyboard write by others. */
const UNDECOMPOSED: Record<string, string> = {
  ł: 'l',
  đ: 'd',
  ø: 'o',
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  ı: 'i',
  ħ: 'h',
  ð: 'd',
  þ: 'th',
}
const UNDECOMPOSED_SIGN = /[łđøßæœıħðþ]/gu
/** Articles and pronouns that lose their vowel before another: French, Italian, Catalan. */
const ELIDED =
  /^(?:[ldjmtscn]|qu|(?:jus|lors|puis|quoi)qu|dell|all|dall|nell|sull|coll|un|quest|quell|bell|sant|degl|gl|agl)'(?=[aeiouyhàáâäæèéêëìíîïòóôöœùúûü])/u
const APOSTROPHES = /[’ʼ＇]/g

/** Accents and letters of Latin, Greek and Cyrillic folded. @param text in lower case. */
export const fold = (text: string): string =>
  PLAIN.test(text)
    ? text
    : text
        .normalize('NFD')
        .replace(ACCENTED, '$1')
        .normalize('NFC')
        .replace(UNDECOMPOSED_SIGN, sign => UNDECOMPOSED[sign]!)

/**
 * A word without an article or pronoun elided before it.
 * @param form in lower case. @example bare('l\'huile') // 'huile'
 */
export const bare = (form: string): string => (form.includes("'") ? form.replace(ELIDED, '') : form)

/** Turkish and Azeri tell the i with a dot from the one without, in capitals too. */
const DOTTED = /^(?:tr|az)(?:-|$)/iu

/**
 * A word as written, in lower case: by its language where that matters, never by the machine's.
 * @param language BCP 47.
 */
export function formOf(raw: string, language = ''): string {
  const lower = DOTTED.test(language) ? raw.toLocaleLowerCase('tr') : raw.toLowerCase()
  if (PLAIN.test(lower)) return lower
  return lower.normalize('NFKC').toLowerCase().replace(APOSTROPHES, "'").normalize('NFC')
}

/** The form in which words are found. Never use it for offsets: it may be longer or shorter than its source. */
export function normaliseWord(raw: string): string {
  let norm = memo.get(raw)
  if (norm === undefined) {
    if (memo.size >= MEMO_LIMIT) memo = new Map()
    memo.set(raw, (norm = normalise(raw)))
  }
  return norm
}

/** Texts repeat their words; past this many the memo starts anew, so that a long-lived server does not grow. */
const MEMO_LIMIT = 60_000
let memo = new Map<string, string>()

const normalise = (raw: string): string => fold(bare(formOf(raw)))

/** Words of plain letters and digits, one space between them: needs neither folding nor the segmenter. */
export const PLAIN_PHRASE = /^[a-z0-9]+(?: [a-z0-9]+)*$/

type TakeWord = (norm: string, start: number, end: number, form: string) => void

function cutUnspaced(run: string, offset: number, take: TakeWord): void {
  for (const { start, text, word } of segments(run, 'word'))
    if (word) take(normaliseWord(text), offset + start, offset + start + text.length, formOf(text))
}

/**
 * Calls `take` with every word of `text` in order, without making a list of them: what a keystroke's scoring can spare.
 * @param language BCP 47; by it forms are lower-cased.
 */
export function eachWord(text: string, take: TakeWord, language = ''): void {
  if (text.length < 200 && PLAIN_PHRASE.test(text)) {
    let from = 0
    for (let at = text.indexOf(' '); at >= 0; at = text.indexOf(' ', from)) {
      const word = text.slice(from, at)
      take(word, from, at, word)
      from = at + 1
    }
    const last = text.slice(from)
    take(last, from, text.length, last)
    return
  }
  const unspaced = UNSPACED.test(text)
  WORD.lastIndex = 0
  for (let hit = WORD.exec(text); hit; hit = WORD.exec(text)) {
    const raw = hit[0]
    if (unspaced && UNSPACED.test(raw)) cutUnspaced(raw, hit.index, take)
    else {
      const norm = normaliseWord(raw)
      take(norm, hit.index, hit.index + raw.length, norm === raw ? raw : formOf(raw, language))
    }
  }
}

/**
 * All words of `text` in order. An empty or wordless text gives an empty list.
 * @param language BCP 47; by it forms are lower-cased.
 */
export function words(text: string, language = ''): Word[] {
  const found: Word[] = []
  eachWord(
    text,
    (norm, start, end, form) => {
      found.push({ norm, form, start, end })
    },
    language,
  )
  return found
}

/** The number of words a person would count in a phrase: its whitespace-separated tokens. */
export function wordCount(phrase: string): number {
  if (PLAIN_PHRASE.test(phrase)) {
    let count = 1
    for (let at = phrase.indexOf(' '); at >= 0; at = phrase.indexOf(' ', at + 1)) count++
    return count
  }
  const trimmed = phrase.trim()
  return trimmed === '' ? 0 : trimmed.split(/\s+/u).length
}

/**
 * A phrase's key: what makes two spellings the same phrase. Lower case, NFKC, white space
 * collapsed, control characters dropped; diacritics stay, since people search with and
 * without them and the figures differ.
 */
export function phraseKey(phrase: string): string {
  // Most are in that form already.
  if (PLAIN_PHRASE.test(phrase)) return phrase
  return phrase
    .normalize('NFKC')
    .replace(/[\p{Cc}\p{Cf}]+/gu, ' ')
    .trim()
    .replace(/\s+/gu, ' ')
    .toLowerCase()
}

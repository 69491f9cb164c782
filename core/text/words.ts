/**
 * Words of a text, with the offsets at which they stand.
 *
 * A word is a run of letters, marks and digits; an apostrophe may stand inside it, a hyphen
 * splits it. Scripts written without spaces are cut by `Intl.Segmenter`; for all others a
 * regular expression does the same about eighty times faster, which is what lets every
 * keystroke be scored.
 */
export interface Word {
  /** Normalised form: NFKC, lower case, diacritics folded, apostrophes unified. */
  norm: string
  /** UTF-16 offsets into the raw string, half-open. */
  start: number
  end: number
}

const WORD = /[\p{L}\p{N}\p{M}]+(?:['’ʼ＇][\p{L}\p{M}]+)*/gu
const PLAIN = /^[a-z0-9']*$/
const UNSPACED = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u
const MARKS = /\p{M}+/gu
const APOSTROPHES = /[’ʼ＇]/g

/**
 * The form in which words are compared: NFKC, lower case, diacritics folded, apostrophes
 * unified. Never use it for offsets: it may be longer or shorter than its source.
 */
export function normaliseWord(raw: string): string {
  let norm = memo.get(raw)
  if (norm === undefined) {
    if (memo.size >= MEMO_LIMIT) memo = new Map()
    memo.set(raw, norm = normalise(raw))
  }
  return norm
}

/** Texts repeat their words; past this many the memo starts anew, so that a long-lived server does not grow. */
const MEMO_LIMIT = 60_000
let memo = new Map<string, string>()

function normalise(raw: string): string {
  const lower = raw.toLowerCase()
  if (PLAIN.test(lower)) return lower
  return lower.normalize('NFKC').toLowerCase().replace(APOSTROPHES, '\'').normalize('NFD').replace(MARKS, '').normalize('NFC')
}

/** Words of plain letters and digits, one space between them: needs neither folding nor the segmenter. */
export const PLAIN_PHRASE = /^[a-z0-9]+(?: [a-z0-9]+)*$/

let segmenter: Intl.Segmenter | undefined

type TakeWord = (norm: string, start: number, end: number) => void

function cutUnspaced(run: string, offset: number, take: TakeWord): void {
  segmenter ??= new Intl.Segmenter(undefined, { granularity: 'word' })
  for (const part of segmenter.segment(run)) {
    if (part.isWordLike) take(normaliseWord(part.segment), offset + part.index, offset + part.index + part.segment.length)
  }
}

/** Tells every word of `text` in order, without making a list of them: what a keystroke's scoring can spare. */
export function eachWord(text: string, take: TakeWord): void {
  if (text.length < 200 && PLAIN_PHRASE.test(text)) {
    let from = 0
    for (let at = text.indexOf(' '); at >= 0; at = text.indexOf(' ', from)) {
      take(text.slice(from, at), from, at)
      from = at + 1
    }
    take(text.slice(from), from, text.length)
    return
  }
  const unspaced = UNSPACED.test(text)
  WORD.lastIndex = 0
  for (let hit = WORD.exec(text); hit; hit = WORD.exec(text)) {
    const raw = hit[0]
    if (unspaced && UNSPACED.test(raw)) cutUnspaced(raw, hit.index, take)
    else take(normaliseWord(raw), hit.index, hit.index + raw.length)
  }
}

/** All words of `text` in order. An empty or wordless text gives an empty list. */
export function words(text: string): Word[] {
  const found: Word[] = []
  eachWord(text, (norm, start, end) => { found.push({ norm, start, end }) })
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
  return phrase.normalize('NFKC').replace(/[\p{Cc}\p{Cf}]+/gu, ' ').trim().replace(/\s+/gu, ' ').toLowerCase()
}

import { rememberingIn } from './remembering'
import { stemmerFor, type Stemmer } from './stems'
import { stopWords } from './stopwords'
import { bare, eachWord, fold, words } from './words'

/** UTF-16 offsets into the raw text, half-open. */
export interface Range {
  start: number
  end: number
}

/** How a phrase stands in a text, best first. */
export const GRADES = ['exact', 'inflected', 'ordered', 'scattered', 'fragment', 'none'] as const
export type Grade = (typeof GRADES)[number]

export interface Match {
  grade: Grade
  /** Part of the phrase's content words found: 1 for every grade above `fragment`, 0 for `none`. */
  share: number
  /** Where it stands: one range for `exact` and `inflected`, one a word for the others. */
  ranges: Range[]
}

/** A text cut and indexed once, so that many phrases can be matched against it. */
export interface ReadText {
  raw: string
  language: string
  norms: string[]
  forms: string[]
  stems: string[]
  starts: number[]
  ends: number[]
  /** Where each stem stands, as indexes of words. */
  byStem: Map<string, number[]>
}

/** A phrase cut once. `content` are the stems of its words that are not stop words. */
export interface ReadPhrase {
  raw: string
  language: string
  norms: string[]
  forms: string[]
  stems: string[]
  content: string[]
  /** Whether a stem stands in `content` twice. */
  repeats: boolean
}

/** At most this many other words may stand between the words of an `ordered` match, in all. */
const MAX_BETWEEN = 3

const NONE: Match = { grade: 'none', share: 0, ranges: [] }

/** The words of one line, with offsets into it. */
type Line = Pick<ReadText, 'norms' | 'forms' | 'stems' | 'starts' | 'ends'>

/** The stem of a word, of its form as written: stemmers need the accents that folding takes off. */
const stemOf = (stem: Stemmer, norm: string, form: string) => (form === norm ? stem(norm) : fold(stem(bare(form))))

/** While a text is typed all its lines but one stay as they were, and are not cut again. */
const readLine = rememberingIn(4000, 4000, (raw, language): Line => {
  const stem = stemmerFor(language)
  const line: Line = { norms: [], forms: [], stems: [], starts: [], ends: [] }
  const { norms, forms, stems, starts, ends } = line
  eachWord(
    raw,
    (norm, start, end, form) => {
      norms.push(norm)
      forms.push(form)
      stems.push(stemOf(stem, norm, form))
      starts.push(start)
      ends.push(end)
    },
    language,
  )
  return line
})

/**
 * Cuts and indexes a text. Cost: about 0.4 ms for 5,000 new characters, a quarter of that when all lines but one are
 * known.
 */
export const readText = (raw: string, language: string): ReadText =>
  raw.length <= SHORT ? readShort(raw, language) : cutText(raw, language)

/** Titles, tags and headings: the same ones are read again and again. */
const SHORT = 150
const readShort = rememberingIn(4000, SHORT, cutText)

function cutText(raw: string, language: string): ReadText {
  const text: ReadText = { raw, language, norms: [], forms: [], stems: [], starts: [], ends: [], byStem: new Map() }
  const { norms, forms, stems, starts, ends, byStem } = text
  // No word goes over a line break.
  for (let from = 0; from <= raw.length;) {
    const found = raw.indexOf('\n', from)
    const to = found < 0 ? raw.length : found
    if (to > from) {
      const line = readLine(raw.slice(from, to), language)
      for (let i = 0; i < line.norms.length; i++) {
        const at = norms.length
        const stem = line.stems[i]!
        norms.push(line.norms[i]!)
        forms.push(line.forms[i]!)
        stems.push(stem)
        starts.push(from + line.starts[i]!)
        ends.push(from + line.ends[i]!)
        const list = byStem.get(stem)
        if (list) list.push(at)
        else byStem.set(stem, [at])
      }
    }
    from = to + 1
  }
  return text
}

/** Cuts a phrase. A phrase without words matches nothing. */
export const readPhrase = rememberingIn(4000, 200, (raw: string, language: string): ReadPhrase => {
  const stem = stemmerFor(language)
  const stops = stopWords(language)
  const cut = words(raw, language)
  const norms = cut.map(word => word.norm)
  const stems = cut.map(({ norm, form }) => stemOf(stem, norm, form))
  const content = stems.filter((_, i) => !stops.has(norms[i]!))
  return {
    raw,
    language,
    norms,
    forms: cut.map(word => word.form),
    stems,
    content,
    repeats: new Set(content).size < content.length,
  }
})

/** An article elided before a phrase's first word does not belong to the phrase. */
function startOf(phrase: ReadPhrase, text: ReadText, at: number): number {
  const [start, end] = [text.starts[at]!, text.ends[at]!]
  const form = text.forms[at]!
  if (!form.includes("'") || form === phrase.forms[0]) return start
  const cut = form.length - bare(form).length
  return cut
    ? Math.max(...["'", '’', 'ʼ', '＇'].map(sign => text.raw.slice(start, end).indexOf(sign))) + 1 + start
    : start
}

/** Every place where the phrase's words stand side by side, by exact form or by stem. */
export function runs(phrase: ReadPhrase, text: ReadText, by: 'exact' | 'inflected'): Range[] {
  const wanted = by === 'exact' ? phrase.forms : phrase.stems
  const have = by === 'exact' ? text.forms : text.stems
  const starts = wanted.length ? text.byStem.get(phrase.stems[0]!) : undefined
  if (!starts) return []
  const found: Range[] = []
  let free = 0
  for (const at of starts) {
    if (at < free) continue
    let k = by === 'exact' && have[at] !== wanted[0] && bare(have[at]!) === wanted[0] ? 1 : 0
    while (k < wanted.length && have[at + k] === wanted[k]) k++
    if (k < wanted.length) continue
    free = at + k
    found.push({ start: startOf(phrase, text, at), end: text.ends[at + k - 1]! })
  }
  return found
}

/** Content stems in order with few words between; the tightest such place, or nothing. */
function inOrder(phrase: ReadPhrase, text: ReadText): Range[] | null {
  const { content } = phrase
  let best: number[] | null = null
  let bestSpan = content.length + MAX_BETWEEN + 1
  for (const at of text.byStem.get(content[0]!) ?? []) {
    const places = [at]
    let last = at
    for (let k = 1; k < content.length; k++) {
      const limit = at + bestSpan
      let next = last + 1
      while (next < limit && next < text.stems.length && text.stems[next] !== content[k]) next++
      if (next >= limit || next >= text.stems.length) break
      places.push(next)
      last = next
    }
    if (places.length === content.length && last - at + 1 < bestSpan) {
      best = places
      bestSpan = last - at + 1
    }
  }
  return best && best.map(k => ({ start: text.starts[k]!, end: text.ends[k]! }))
}

/**
 * The best match of a phrase in a text.
 *
 * `exact`: its words in order, side by side, as written but for case. `inflected`: the same by stem, or with other
 * accents. Then on content stems only, stop words left out: `ordered` with at most three other words between in all,
 * `scattered` anywhere, `fragment` at least half of them. A phrase of stop words alone can only match exactly. Both
 * must have been read for the same language.
 *
 * @example match(readPhrase('index gears', 'en'), readText('Indexing a gear', 'en')).grade // 'ordered'
 */
export function match(phrase: ReadPhrase, text: ReadText): Match {
  const { content } = phrase
  if (!phrase.norms.length || !text.norms.length) return NONE
  if (content.length) {
    // Most phrases are absent from most texts: that is found out first.
    const places = contentPlaces(phrase, text)
    const share = places.length / content.length
    if (share < 0.5) return NONE
    if (share < 1) return { grade: 'fragment', share, ranges: rangesAt(places, text) }
  }
  const exact = runs(phrase, text, 'exact')
  if (exact.length) return { grade: 'exact', share: 1, ranges: [exact[0]!] }
  if (!content.length) return NONE
  const inflected = runs(phrase, text, 'inflected')
  if (inflected.length) return { grade: 'inflected', share: 1, ranges: [inflected[0]!] }
  const ordered = inOrder(phrase, text)
  return ordered
    ? { grade: 'ordered', share: 1, ranges: ordered }
    : { grade: 'scattered', share: 1, ranges: rangesAt(contentPlaces(phrase, text), text) }
}

/** Where the content stems stand, each at its first place; one that is wanted twice must stand twice. */
function contentPlaces({ content, repeats }: ReadPhrase, { byStem }: ReadText): number[] {
  const places: number[] = []
  for (let i = 0; i < content.length; i++) {
    let nth = 0
    if (repeats) for (let k = 0; k < i; k++) if (content[k] === content[i]) nth++
    const at = byStem.get(content[i]!)?.[nth]
    if (at !== undefined) places.push(at)
  }
  return places
}

const rangesAt = (places: number[], text: ReadText): Range[] =>
  places.sort((a, b) => a - b).map(k => ({ start: text.starts[k]!, end: text.ends[k]! }))

/** The first and last offset of a match; `null` for none. */
export function span(found: Match): Range | null {
  if (!found.ranges.length) return null
  return { start: found.ranges[0]!.start, end: found.ranges[found.ranges.length - 1]!.end }
}

/** A text cut at some stretches of it, which may come in any order; of two that overlap the first counts. */
export function cutAtRanges(text: string, ranges: readonly Range[]): { text: string; marked: boolean }[] {
  const cut: { text: string; marked: boolean }[] = []
  let at = 0
  for (const { start, end } of [...ranges].sort((a, b) => a.start - b.start)) {
    if (start < at) continue
    if (start > at) cut.push({ text: text.slice(at, start), marked: false })
    cut.push({ text: text.slice(start, end), marked: true })
    at = end
  }
  if (at < text.length) cut.push({ text: text.slice(at), marked: false })
  return cut
}

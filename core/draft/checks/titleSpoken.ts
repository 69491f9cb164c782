import { runs } from '../../text/match'
import { primaryLanguage } from '../../text/stems'
import { stopWords } from '../../text/stopwords'
import { textFix, type FieldRange } from '../draft'
import { withoutRanges } from '../titleFixes'
import { defineCheck, met, notApplicable, partly } from '../check'
import { wholeNumber } from '../settings'

/** A word in capitals that is no short name, and any word in capitals where nearly all of them are. */
const SHOUTED = /(?<![\p{L}\p{N}])\p{Lu}{4,40}(?![\p{L}\p{N}])/gu
const CAPITALS = /(?<![\p{L}\p{N}])\p{Lu}{2,40}(?![\p{L}\p{N}])/gu
const CRIES = /[!?]{2,}|!/gu
const SEPARATORS = /[|•·»]/gu

/** One mark for each run of them, and a full stop for all but the last exclamation mark. */
function quietened(title: string): string {
  const single = title.replace(/([!?])[!?]+/gu, '$1')
  const last = single.lastIndexOf('!')
  return single.replace(/!/gu, (mark, at: number) => (at < last ? '.' : mark))
}

/** Languages whose nouns begin with a capital, which cannot be told from other words here. */
const NOUNS_IN_CAPITALS = new Set(['de', 'lb'])

/**
 * How a word in capitals is written else: as the other texts of the draft write it, small otherwise. One they write in
 * capitals too is a short name and stays, as does one without a vowel.
 */
function usualForms(texts: readonly string[], language: string): (word: string) => string {
  const seen = new Map<string, string>()
  for (const text of texts) {
    for (const [word] of text.matchAll(/[\p{L}\p{M}\p{N}]+/gu)) {
      const key = word.toLocaleLowerCase(language)
      if (!seen.has(key) || word === key) seen.set(key, word)
    }
  }
  return word => {
    const key = word.toLocaleLowerCase(language)
    const known = seen.get(key)
    if (known) return known
    return NOUNS_IN_CAPITALS.has(primaryLanguage(language)) || /^[b-df-hj-np-tv-xz0-9]+$/iu.test(word) ? word : key
  }
}

/** The title reads as a sentence a person would say: phrase once, no stuffing, no shouting. */
export const titleSpoken = defineCheck({
  id: 'title-spoken',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'Natural wording',
  why: 'Repetition, capitals and long lists of words put viewers off, however well they match.',
  needs: ['title'],
  settings: {
    shoutedWords: wholeNumber('Words in capitals from which it is shouting', 2, 1, 100),
    sameWord: wholeNumber('Times one word may not be reached', 3, 2, 100),
    separators: wholeNumber('Bars from which it is a list', 2, 1, 100),
  },
  run: ({ draft, lead, support, at, language, settings }) => {
    const title = draft.title!
    if (!title.trim()) return notApplicable('Nothing written yet.')
    const text = at('title')[0]!.text
    const faults: string[] = []
    const ranges: FieldRange[] = []
    const mended: { what: string; value: string }[] = []
    const blame = (what: string, where: { start: number; end: number }[], value?: string) => {
      faults.push(what)
      ranges.push(...where.map(range => ({ field: 'title' as const, start: range.start, end: range.end })))
      if (value && value !== title) mended.push({ what, value })
    }
    const hits = (pattern: RegExp) =>
      [...title.matchAll(pattern)].map(hit => ({ start: hit.index, end: hit.index + hit[0].length }))

    const pattern = /\p{Ll}/u.test(title) ? SHOUTED : CAPITALS
    const shouted = hits(pattern)
    if (shouted.length >= settings.shoutedWords) {
      const usual = usualForms(
        [
          ...at('description').map(place => place.text.raw),
          ...(draft.tags ?? []),
          ...[lead, ...support].map(phrase => phrase?.raw ?? ''),
        ],
        language,
      )
      blame(
        'words in capitals',
        shouted,
        title.replace(pattern, (word, at: number) => {
          const form = usual(word)
          return at === 0
            ? String.fromCodePoint(form.codePointAt(0)!).toLocaleUpperCase(language) +
                form.slice(String.fromCodePoint(form.codePointAt(0)!).length)
            : form
        }),
      )
    }
    const last = title.lastIndexOf('!')
    // A single mark is a cry too many only where another one follows.
    const cries = hits(CRIES).filter(({ start, end }) => end - start > 1 || start < last)
    if (cries.length) blame('repeated exclamation marks', cries, quietened(title))
    if (hits(SEPARATORS).length >= settings.separators) blame('parts separated by bars', hits(SEPARATORS))

    const twice = lead ? runs(lead, text, 'inflected') : []
    if (twice.length > 1) {
      blame('the lead is repeated', twice.slice(1), withoutRanges(title, twice.slice(1)))
    } else {
      const stops = stopWords(language)
      for (const places of text.byStem.values()) {
        if (places.length < settings.sameWord || stops.has(text.norms[places[0]!]!)) continue
        blame(
          `“${text.norms[places[0]!]}” ${places.length} times`,
          places.map(k => ({ start: text.starts[k]!, end: text.ends[k]! })),
        )
        break
      }
    }
    if (!faults.length) return met('The title reads naturally.')
    return partly(1 - 0.4 * faults.length, `May put viewers off: ${faults.join(', ')}.`, {
      ranges,
      fixes: () => mended.map(({ what, value }) => textFix(`Fix: ${what}`, 'title', title, value)),
    })
  },
})

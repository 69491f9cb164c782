import { runs } from '../../text/match'
import { trimSigns } from '../../text/trim'
import { stopWords } from '../../text/stopwords'
import type { Fix, FieldRange } from '../draft'
import { defineCheck, met, notApplicable, partly } from '../check'

/** A word in capitals that is no short name, and any word in capitals where nearly all of them are. */
const SHOUTED = /(?<![\p{L}\p{N}])\p{Lu}{4,}(?![\p{L}\p{N}])/gu
const CAPITALS = /(?<![\p{L}\p{N}])\p{Lu}{2,}(?![\p{L}\p{N}])/gu
const CRIES = /[!?]{2,}|!/gu
const SEPARATORS = /[|•·»]/gu

/** One mark for each run of them, and a full stop for all but the last exclamation mark. */
function quietened(title: string): string {
  const single = title.replace(/([!?])[!?]+/gu, '$1')
  const last = single.lastIndexOf('!')
  return single.replace(/!/gu, (mark, at: number) => at < last ? '.' : mark)
}

/** The title reads as a sentence a person would say: phrase once, no stuffing, no shouting. */
export const titleSpoken = defineCheck({
  id: 'title-spoken',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'A title a person would say',
  why: 'Repeated, shouted or strung-together words put people off, however well they match.',
  needs: ['title'],
  settings: { shoutedWords: 2, sameWord: 3, separators: 2 },
  run: ({ draft, lead, at, language, settings }) => {
    const title = draft.title!
    if (!title.trim()) return notApplicable('Nothing written yet.')
    const text = at('title')[0]!.text
    const faults: string[] = []
    const ranges: FieldRange[] = []
    const fixes: Fix[] = []
    const blame = (what: string, where: { start: number, end: number }[], value?: string) => {
      faults.push(what)
      ranges.push(...where.map(range => ({ field: 'title' as const, start: range.start, end: range.end })))
      if (value && value !== title) fixes.push({ label: `Mend: ${what}`, field: 'title', value })
    }
    const hits = (pattern: RegExp) => [...title.matchAll(pattern)].map(hit => ({ start: hit.index, end: hit.index + hit[0].length }))

    const pattern = /\p{Ll}/u.test(title) ? SHOUTED : CAPITALS
    const shouted = hits(pattern)
    if (shouted.length >= settings.shoutedWords) {
      blame('words in capitals', shouted, title.replace(pattern, (word, at: number) => at === 0 ? word[0]! + word.slice(1).toLocaleLowerCase() : word.toLocaleLowerCase()))
    }
    const last = title.lastIndexOf('!')
    // A single mark is a cry too many only where another one follows.
    const cries = hits(CRIES).filter(({ start, end }) => end - start > 1 || start < last)
    if (cries.length) blame('repeated exclamation marks', cries, quietened(title))
    if (hits(SEPARATORS).length >= settings.separators) blame('parts strung together with bars', hits(SEPARATORS))

    const twice = lead ? runs(lead, text, 'inflected') : []
    if (twice.length > 1) {
      const { start, end } = twice[1]!
      blame('the lead said twice', twice.slice(1), trimSigns(`${title.slice(0, start)}${title.slice(end)}`, /[\s,|:–—-]/u, 'end').replace(/\s{2,}/gu, ' '))
    } else {
      const stops = stopWords(language)
      for (const places of text.byStem.values()) {
        if (places.length < settings.sameWord || stops.has(text.norms[places[0]!]!)) continue
        blame(`“${text.norms[places[0]!]}” ${places.length} times`, places.map(k => ({ start: text.starts[k]!, end: text.ends[k]! })))
        break
      }
    }
    if (!faults.length) return met('Reads as a person would say it.')
    return partly(1 - 0.4 * faults.length, `Puts people off with ${faults.join(', ')}.`, { ranges, fixes })
  },
})

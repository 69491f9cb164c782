import { count } from '../text/count'
import { readText, runs, type ReadPhrase } from '../text/match'
import { normaliseWord } from '../text/words'
import { stopWords } from '../text/stopwords'
import { trimSigns } from '../text/trim'
import { asSentence } from './check'
import { textFix, type Fix } from './draft'
import type { LimitProfile } from './limits'
import { EMPTY_PAIRS } from './pairs'

/** Signs by which the parts of a title are joined, or which are left at an end when its first words go. */
const JOINT = /[\s\-–—|:,·•]/u
const LEFT_IN_FRONT = /[\s\-–—|:,.·•?!;)\]}»”]/u
const JOINED = /[|:,·•–—]$/u

/** What is left of a title once stretches are taken out: no empty brackets, no joints that join nothing. */
export function withoutRanges(title: string, ranges: readonly { start: number; end: number }[]): string {
  let rest = title
  for (const { start, end } of [...ranges].reverse()) rest = `${rest.slice(0, start)} ${rest.slice(end)}`
  const tidy = joinedOnce(rest.replace(EMPTY_PAIRS, ' '))
  return trimSigns(trimSigns(tidy, LEFT_IN_FRONT, 'start'), JOINT, 'end').replace(/ ([,:;])/gu, '$1')
}

/** One joint where several follow one another, one space between words. A hyphen within a word is none. */
function joinedOnce(text: string): string {
  const kept: string[] = []
  for (const token of text.split(/\s+/u)) {
    const last = kept.at(-1) ?? ''
    const word = JOINED.test(last) || last === '-' ? trimSigns(token, /[|:,·•–—-]/u, 'start') : token
    if (word) kept.push(word)
  }
  return kept.join(' ')
}

/** Whether a title without some stretches ends a part with a word that something has to follow, such as “of”. */
function breaksOff(title: string, ranges: readonly { start: number; end: number }[], language: string): boolean {
  const stops = stopWords(language)
  return ranges.some(({ start }) => stops.has(normaliseWord(title.slice(0, start).trimEnd().split(/\s/u).at(-1)!)))
}

/** The title with the lead word for word at its front, if that fits the limit; else the lead alone. */
export function leadFirst(title: string, lead: ReadPhrase, profile: LimitProfile): Fix[] {
  const front = asSentence(lead.raw, lead.language)
  const there = runs(lead, readText(title, lead.language), 'inflected')
  if (breaksOff(title, there, lead.language)) return []
  const rest = withoutRanges(title, there)
  const value = rest ? `${front}: ${rest}` : front
  const fits = (text: string) => count(text, profile.title.unit) <= profile.title.limit
  if (value !== title && fits(value)) return [textFix('Put the lead at the front', 'title', title, value)]
  return front !== title && fits(front) ? [textFix('Use the lead as the title', 'title', title, front)] : []
}

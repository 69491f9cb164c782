import { count } from '../text/count'
import { readText, runs, type ReadPhrase } from '../text/match'
import { trimSigns } from '../text/trim'
import { asSentence } from './check'
import { textFix, type Fix } from './draft'
import type { LimitProfile } from './limits'

/** Signs by which the parts of a title are joined, or which are left at an end when its first words go. */
const JOINT = /[\s\-–—|:,·•]/u
const LEFT_IN_FRONT = /[\s\-–—|:,.·•?!;)\]}»”]/u
/** A hyphen joins parts only between spaces; within a word it belongs to it. */
const JOINTS = /\s*(?:[|:,·•–—]|(?<=\s)-(?=\s))(?:\s*(?:[|:,·•–—]|(?<=\s)-(?=\s)))+\s*/gu
const EMPTY_PAIRS = /\(\s*\)|\[\s*\]|\{\s*\}|«\s*»|“\s*”|„\s*“|‘\s*’|"\s*"/gu

/** What is left of a title once stretches are taken out: no empty brackets, no joints that join nothing. */
export function withoutRanges(title: string, ranges: readonly { start: number, end: number }[]): string {
  let rest = title
  for (const { start, end } of [...ranges].reverse()) rest = `${rest.slice(0, start)} ${rest.slice(end)}`
  const tidy = rest.replace(EMPTY_PAIRS, ' ').replace(JOINTS, run => ` ${/[|·•–—]/u.exec(run)?.[0] ?? ''} `.replace('  ', /,/u.test(run) ? ', ' : ': '))
  return trimSigns(trimSigns(tidy, LEFT_IN_FRONT, 'start'), JOINT, 'end').replace(/\s+/gu, ' ').replace(/\s+([,:;])/gu, '$1')
}

/** The title with the lead word for word at its front, if that fits the limit; else the lead alone. */
export function leadFirst(title: string, lead: ReadPhrase, profile: LimitProfile): Fix[] {
  const front = asSentence(lead.raw, lead.language)
  const rest = withoutRanges(title, runs(lead, readText(title, lead.language), 'inflected'))
  const value = rest ? `${front}: ${rest}` : front
  const fits = (text: string) => count(text, profile.title.unit) <= profile.title.limit
  if (value !== title && fits(value)) return [textFix('Put the lead at the front', 'title', title, value)]
  return front !== title && fits(front) ? [textFix('Use the lead as the title', 'title', title, front)] : []
}

import { count } from '../text/count'
import { readText, runs, type ReadPhrase } from '../text/match'
import { asSentence } from './check'
import type { Fix } from './draft'
import type { LimitProfile } from './limits'

/** What is left of a title without the phrase, with the joints tidied. */
function without(title: string, lead: ReadPhrase): string {
  const found = runs(lead, readText(title, lead.language), 'inflected')
  let rest = title
  for (const { start, end } of [...found].reverse()) rest = `${rest.slice(0, start)}\u0000${rest.slice(end)}`
  return rest.replace(/[\s\-–—|:,]*\u0000[\s\-–—|:,]*/gu, ' ').replace(/\s+/gu, ' ').trim().replace(/^[-–—|:,.\s]+|[-–—|:,\s]+$/gu, '')
}

/** The title with the lead word for word at its front, if that fits the limit; else the lead alone. */
export function leadFirst(title: string, lead: ReadPhrase, profile: LimitProfile): Fix[] {
  const front = asSentence(lead.raw)
  const rest = without(title, lead)
  const value = rest ? `${front}: ${rest}` : front
  const fits = (text: string) => count(text, profile.title.unit) <= profile.title.limit
  if (value !== title && fits(value)) return [{ label: 'Put the lead at the front', field: 'title', value }]
  return front !== title && fits(front) ? [{ label: 'Use the lead as the title', field: 'title', value: front }] : []
}

import { count } from '../text/count'
import { readText, runs, type ReadPhrase } from '../text/match'
import { asSentence } from './check'
import { trimSigns } from '../text/trim'
import type { Fix } from './draft'
import type { LimitProfile } from './limits'

/** Signs by which the parts of a title are joined. */
const JOINT = /[\s\-–—|:,]/u

/** What is left of a title without the phrase, with the joints tidied. */
function without(title: string, lead: ReadPhrase): string {
  const found = runs(lead, readText(title, lead.language), 'inflected')
  let rest = title
  for (const { start, end } of [...found].reverse()) rest = `${rest.slice(0, start)}\u0000${rest.slice(end)}`
  const joined = rest.split('\u0000').map(part => trimSigns(part, JOINT)).filter(Boolean).join(' ')
  return trimSigns(joined, /[\s\-–—|:,.]/u, 'start').replace(/\s+/gu, ' ')
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

import { phraseKey } from '../text/words'
import { inDigits } from '../text/inWords'

/** How a phrase and a place are put together; both names must stand in it. */
export const CROSS_TEMPLATES = [
  '{phrase} {place}',
  '{phrase} in {place}',
  '{phrase} near {place}',
  '{place} {phrase}',
] as const

/** What is wrong with a template, or `null`. */
export function templateFault(template: string): string | null {
  if (!template.includes('{phrase}')) return 'The template needs {phrase} where the phrase goes.'
  if (!template.includes('{place}')) return 'The template needs {place} where the place goes.'
  if (template.length > 100) return 'A template can be 100 characters at most.'
  return null
}

export interface Crossed {
  phrase: string
  base: string
  place: string
}

/**
 * Every phrase with every place by every template, each result once, phrases before places.
 * @throws RangeError when there are more than `most`, or a template lacks a part.
 */
export function crossPlaces(
  phrases: readonly string[],
  places: readonly string[],
  templates: readonly string[],
  most = 20_000,
): Crossed[] {
  for (const template of templates) {
    const fault = templateFault(template)
    if (fault) throw new RangeError(fault)
  }
  const total = phrases.length * places.length * templates.length
  if (total > most)
    throw new RangeError(
      `${phrases.length} phrases × ${places.length} places × ${templates.length} templates make ${inDigits(total)} phrases; ${inDigits(most)} is the most. Take fewer places or phrases.`,
    )
  const found = new Map<string, Crossed>()
  for (const base of phrases) {
    for (const place of places) {
      for (const template of templates) {
        const phrase = phraseKey(template.replace('{phrase}', () => base).replace('{place}', () => place))
        if (!found.has(phrase)) found.set(phrase, { phrase, base, place })
      }
    }
  }
  return [...found.values()]
}

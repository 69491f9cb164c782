import { primaryLanguage } from '../text/stems'
import { readPhrase, readText } from '../text/match'
import { stopWords } from '../text/stopwords'

const AND: Record<string, string> = { en: 'and', de: 'und', es: 'y', fr: 'et', it: 'e', pt: 'e', nl: 'en' }

/** Languages in which a task names its thing first. */
const VERB_LAST = new Set(['de', 'nl'])

/**
 * Two phrases said in one, with the words they share said once: *clean a chain* and *wax a chain* become *clean and wax
 * a chain*, *clean a chain* and *clean a cassette* become *clean a chain and cassette*.
 *
 * @param lead the phrase that stays word for word as far as it can. @param language BCP 47.
 * @returns `null` where they share too little, or in a language whose “and” is not known.
 */
export function foldPhrases(lead: string, support: string, language: string): string | null {
  const and = AND[primaryLanguage(language)]
  if (!and) return null
  const [a, b] = [contentOf(lead, language), contentOf(support, language)]
  if (!a.length || !b.length) return null
  let before = 0
  while (before < a.length && before < b.length && a[before]!.stem === b[before]!.stem) before++
  let after = 0
  while (
    after < a.length - before &&
    after < b.length - before &&
    a[a.length - 1 - after]!.stem === b[b.length - 1 - after]!.stem
  )
    after++
  const own = a.slice(before, a.length - after)
  const other = b.slice(before, b.length - after)
  // Something shared, and something different in each.
  if (!(before + after) || !own.length || !other.length || own.length > 2 || other.length > 2) return null
  // “kette wechseln fahrrad” and “kette ölen”: the verb stands last, and what follows it would belong to nothing.
  if (VERB_LAST.has(primaryLanguage(language)) && before && !after && own.length !== other.length) return null
  // What the support says after its last own word would be lost.
  if (!after && support.slice(other.at(-1)!.end).trim()) return null
  const added = support.slice(other[0]!.start, other.at(-1)!.end)
  const at = own.at(-1)!.end
  return `${lead.slice(0, at)} ${and} ${added}${lead.slice(at)}`
}

/** The words of a phrase that are not stop words, with their stems and offsets. */
function contentOf(phrase: string, language: string) {
  const { norms, stems, starts, ends } = readText(phrase, language)
  const stops = stopWords(language)
  const kept = norms.flatMap((norm, i) =>
    stops.has(norm) ? [] : [{ stem: stems[i]!, start: starts[i]!, end: ends[i]! }],
  )
  return readPhrase(phrase, language).content.length === kept.length ? kept : []
}

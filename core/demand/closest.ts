import { stemmerFor } from '../text/stems'
import { words } from '../text/words'

/**
 * The phrases that say most of a topic: those with most of its words, inflected or not, first, then those more people
 * search for.
 * @param volume searches a month; unknown counts as none for the order alone.
 */
export function closest<Row extends { phrase: string; volume: number | null }>(
  topic: string,
  rows: readonly Row[],
  language: string,
  most: number,
): Row[] {
  const stem = stemmerFor(language)
  const stemsOf = (text: string) => new Set(words(text, language).map(({ norm }) => stem(norm)))
  const wanted = stemsOf(topic)
  const held = (phrase: string) => [...stemsOf(phrase)].filter(each => wanted.has(each)).length
  return rows
    .map(row => ({ row, held: held(row.phrase) }))
    .sort((a, b) => b.held - a.held || (b.row.volume ?? 0) - (a.row.volume ?? 0))
    .slice(0, most)
    .map(({ row }) => row)
}

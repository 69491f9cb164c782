import { setImmediate as nextTurn } from 'node:timers/promises'
import { groupsIn, tellingGroups, type FoundPhrase } from '../../core/demand/phrasesIn'
import type { PhraseStore } from '../data/phrases'

/** Groups looked up before other requests get their turn. */
const AT_A_TIME = 100
const MOST_TOLD = 200
/** Groups of words that nobody is known to search, told after the phrases. */
const MOST_TELLING = 30

/**
 * Phrases in a text: those that are known to be searched, the most searched first, then groups of words that tell what
 * it is about. @param region '' for everywhere.
 */
export async function phrasesFound(
  phrases: PhraseStore,
  text: string,
  region: string,
  language: string,
): Promise<FoundPhrase[]> {
  const groups = groupsIn(text, language)
  const known: FoundPhrase[] = []
  for (const [i, { phrase, count }] of groups.entries()) {
    if (i % AT_A_TIME === AT_A_TIME - 1) await nextTurn()
    const found = phrases.known(phrase, region, language)
    if (found) known.push({ phrase, count, volume: found.volume })
  }
  const told = new Set(known.map(each => each.phrase))
  const telling = tellingGroups(groups.slice(0, 2000))
    .filter(each => !told.has(each.phrase))
    .slice(0, MOST_TELLING)
  return [
    ...known.sort((a, b) => (b.volume ?? -1) - (a.volume ?? -1) || b.count - a.count).slice(0, MOST_TOLD),
    ...telling.map(({ phrase, count }) => ({ phrase, count, volume: null })),
  ]
}

import { stopWords } from '../text/stopwords'
import { phraseKey, words } from '../text/words'
import { firstLine } from './strength'

export const WORD_PLACES = ['tags', 'title', 'firstLine'] as const
export type WordPlace = (typeof WORD_PLACES)[number]

export interface WordSource {
  rank: number
  title: string
  description: string | null
  tags: readonly string[] | null
}

export interface PageTerm {
  term: string
  place: WordPlace
  /** Results that use it, and their ranks. */
  users: number
  ranks: number[]
  /** How much more this page uses it than neighbouring phrases' pages: 1 is as much. */
  lift: number
}

/** How many results use each term, over how many results. */
export interface Background {
  results: number
  users: ReadonlyMap<string, number>
}

/** Half a user is added to both sides, so that a term no neighbour uses has no endless lift. */
const PRIOR = 0.5

/** The terms of one result in a place, each once: whole tags; words of a title or a first line without stop words. */
export function termsOf(source: Omit<WordSource, 'rank'>, place: WordPlace, language: string): Set<string> {
  if (place === 'tags') return new Set((source.tags ?? []).map(phraseKey).filter(Boolean))
  const text = place === 'title' ? source.title : firstLine(source.description ?? '')
  const stops = stopWords(language)
  return new Set(
    words(text)
      .map(word => word.norm)
      .filter(norm => !stops.has(norm) && (norm.length > 1 || /\d/u.test(norm))),
  )
}

/** Counts who uses what over neighbouring phrases' pages. A video on several of them counts once. */
export function background(
  sources: Iterable<Omit<WordSource, 'rank'> & { id: string }>,
  place: WordPlace,
  language: string,
): Background {
  const users = new Map<string, number>()
  const seen = new Set<string>()
  for (const source of sources) {
    if (seen.has(source.id)) continue
    seen.add(source.id)
    for (const term of termsOf(source, place, language)) users.set(term, (users.get(term) ?? 0) + 1)
  }
  return { results: seen.size, users }
}

/**
 * The words of a page by lift: the part of this page's results that use a term over the part of the
 * neighbours' that do.
 * @param least users on the page below which a term is left out.
 * @returns by falling lift weighed by users, since a term that one result uses tells little.
 */
export function pageWords(
  page: readonly WordSource[],
  place: WordPlace,
  neighbours: Background,
  language: string,
  least = 2,
): PageTerm[] {
  const found = new Map<string, number[]>()
  for (const source of page)
    for (const term of termsOf(source, place, language)) found.set(term, [...(found.get(term) ?? []), source.rank])
  const terms: PageTerm[] = []
  for (const [term, ranks] of found) {
    if (ranks.length < least) continue
    const here = (ranks.length + PRIOR) / (page.length + 2 * PRIOR)
    const there = ((neighbours.users.get(term) ?? 0) + PRIOR) / (neighbours.results + 2 * PRIOR)
    terms.push({ term, place, users: ranks.length, ranks, lift: neighbours.results ? here / there : 1 })
  }
  const order = (each: PageTerm) => Math.log(each.lift) * Math.sqrt(each.users)
  return terms.sort((a, b) => order(b) - order(a) || b.users - a.users || (a.term < b.term ? -1 : 1))
}

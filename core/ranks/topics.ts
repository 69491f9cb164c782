import { formatWords } from '../draft/wordLists'
import { readPhrase } from '../text/match'
import { stemmerFor } from '../text/stems'
import { words } from '../text/words'

/** What a channel makes videos about. */
export interface Topic {
  /** As it is written most often. */
  word: string
  stem: string
  /** Titles that hold it. */
  videos: number
}

/** A word of fewer titles is no topic of a channel. */
const LEAST_TITLES = 3
const MOST = 8
const NUMBER = /^\d/u

/**
 * The words that come back in the titles of a channel’s videos, most often first; no filler and no numbers.
 * @yields after each title, so that others have their turn.
 */
export function* topicsOf(titles: readonly string[], language: string): Generator<undefined, Topic[]> {
  const stem = stemmerFor(language)
  const formats = formatWords(language)
  const found = new Map<string, { titles: number; written: Map<string, number> }>()
  for (const title of titles) {
    const telling = new Set<string>(readPhrase(title, language).content)
    const seen = new Set<string>()
    for (const { norm } of words(title, language)) {
      const of = stem(norm)
      if (!telling.has(of) || seen.has(of) || NUMBER.test(norm) || formats?.has(norm)) continue
      seen.add(of)
      const topic = found.get(of) ?? { titles: 0, written: new Map<string, number>() }
      topic.titles++
      topic.written.set(norm, (topic.written.get(norm) ?? 0) + 1)
      found.set(of, topic)
    }
    yield
  }
  return [...found]
    .filter(([, { titles: n }]) => n >= LEAST_TITLES)
    .sort(([a, x], [b, y]) => y.titles - x.titles || a.localeCompare(b))
    .slice(0, MOST)
    .map(([of, topic]) => ({
      word: [...topic.written].sort(([a, x], [b, y]) => y - x || a.localeCompare(b))[0]![0],
      stem: of,
      videos: topic.titles,
    }))
}

/** Pages that share this many of their first twenty results are won by the same video. */
const SAME = 8

/**
 * Phrases that one video can win together: each with those after it whose pages hold much the same results.
 *
 * @param phrases in their order, each with the ids of its first page.
 */
export function byOneVideo<Phrase extends { page: readonly number[] }>(
  phrases: readonly Phrase[],
): { first: Phrase; also: Phrase[] }[] {
  const groups: { first: Phrase; also: Phrase[]; page: ReadonlySet<number> }[] = []
  for (const phrase of phrases) {
    const group = groups.find(({ page }) => phrase.page.filter(id => page.has(id)).length >= SAME)
    if (group) group.also.push(phrase)
    else groups.push({ first: phrase, also: [], page: new Set(phrase.page) })
  }
  return groups.map(({ first, also }) => ({ first, also }))
}

import { readPhrase } from '../text/match'

/** The stems of a title's content words. */
export const stemsOf = (title: string, language: string): ReadonlySet<string> =>
  new Set(readPhrase(title, language).content)

/** Jaccard index of two sets of stems: 0 nothing in common, 1 the same words. Two empty ones have nothing in common. */
export function closeness(a: ReadonlySet<string>, b: ReadonlySet<string>): number {
  let shared = 0
  for (const stem of a) if (b.has(stem)) shared++
  const all = a.size + b.size - shared
  return all ? shared / all : 0
}

/** A title of the page and how close another one is to it. */
export interface Closest {
  title: string
  closeness: number
}

/** Finds the closest of many titles. Their stems are made once. */
export function closestAmong(titles: readonly string[], language: string): (title: string) => Closest | null {
  const known = titles.map(title => ({ title, stems: stemsOf(title, language) }))
  return title => {
    const own = stemsOf(title, language)
    let best: Closest | null = null
    for (const each of known) {
      const close = closeness(own, each.stems)
      if (close > (best?.closeness ?? 0)) best = { title: each.title, closeness: close }
    }
    return best
  }
}

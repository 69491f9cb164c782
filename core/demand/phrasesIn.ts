import { readText } from '../text/match'
import { stopWords } from '../text/stopwords'

/** Words of a phrase looked for at most. */
const LONGEST = 6
/** Groups looked up at most: the most frequent, longer ones first among equals. */
const MOST_GROUPS = 20_000
/** A group nobody is known to search must be said so often. */
const LEAST_SAID = 2
/** What ends a sentence or a part of one: no phrase goes over it. */
const BREAK = /[.!?…,;:。！？、()[\]"“”\n|/]/u

/** A group of words of a text. */
export interface WordGroup {
  /** As a phrase is kept: lower case, single spaces. */
  phrase: string
  count: number
  words: number
  /** Whether it begins and ends with words that say something. */
  whole: boolean
}

/** A phrase that stands in a text. */
export interface FoundPhrase {
  phrase: string
  /** How often it is said. */
  count: number
  /** Searches a month; `null` where they are not known. */
  volume: number | null
}

/** All groups of up to six words that stand side by side in a text, the most frequent first. */
export function groupsIn(text: string, language: string): WordGroup[] {
  const { raw, forms, norms, starts, ends } = readText(text, language)
  const stops = stopWords(language)
  const spaced = (i: number) => /^\s+$/u.test(raw.slice(ends[i], starts[i + 1]))
  const found = new Map<string, WordGroup>()
  for (let from = 0; from < forms.length; from++) {
    let phrase = ''
    for (let to = from; to < Math.min(forms.length, from + LONGEST); to++) {
      if (to > from && BREAK.test(raw.slice(ends[to - 1], starts[to]))) break
      phrase += (to > from && spaced(to - 1) ? ' ' : '') + forms[to]!
      if (to === from && stops.has(norms[from]!)) continue
      const known = found.get(phrase)
      if (known) known.count++
      else
        found.set(phrase, {
          phrase,
          count: 1,
          words: to - from + 1,
          whole: !stops.has(norms[from]!) && !stops.has(norms[to]!),
        })
    }
  }
  return [...found.values()].sort((a, b) => b.count - a.count || b.words - a.words).slice(0, MOST_GROUPS)
}

/**
 * Groups that tell what a text is about though nobody is known to search them: said at least twice, and not only as a
 * part of a longer one (C-value, Frantzi, Ananiadou and Mima 2000).
 */
export function tellingGroups(groups: readonly WordGroup[]): { phrase: string; count: number; value: number }[] {
  const whole = groups.filter(group => group.whole && group.words > 1 && group.count >= LEAST_SAID)
  const within = new Map<string, { sum: number; n: number }>()
  for (const longer of whole)
    for (const shorter of whole)
      if (shorter.words < longer.words && ` ${longer.phrase} `.includes(` ${shorter.phrase} `)) {
        const has = within.get(shorter.phrase) ?? { sum: 0, n: 0 }
        within.set(shorter.phrase, { sum: has.sum + longer.count, n: has.n + 1 })
      }
  return whole
    .map(({ phrase, count, words }) => {
      const inside = within.get(phrase)
      return { phrase, count, value: Math.log2(words) * (count - (inside ? inside.sum / inside.n : 0)) }
    })
    .filter(each => each.value > 0)
    .sort((a, b) => b.value - a.value)
}

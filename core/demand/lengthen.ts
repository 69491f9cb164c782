import { phraseKey, words } from '../text/words'

/** Words searchers add, for English; each with where it goes. */
export const MODIFIERS: readonly { text: string; at: 'before' | 'after' }[] = [
  ...['how to', 'best way to', 'easy way to', 'best'].map(text => ({ text, at: 'before' as const })),
  ...[
    'for beginners',
    'at home',
    'step by step',
    'tutorial',
    'tips',
    'guide',
    'explained',
    'quickly',
    'yourself',
    'without tools',
    'mistakes',
    'cost',
    'cheap',
    'properly',
  ].map(text => ({ text, at: 'after' as const })),
]

export interface LongerPhrase {
  phrase: string
  /** What it adds to the phrase, as written. */
  added: string
  from: 'known' | 'modifier' | 'place'
}

/** Beginnings that ask the same: two of them never stand together. */
const ASKS = /^(how|best way|easy way|when|can|what|why)\b/u

/**
 * What a longer phrase adds to a shorter one, its words in order; `null` when it does not hold them all side by side.
 */
export function addedWords(longer: string, phrase: string): string | null {
  const long = words(longer)
  const short = words(phrase).map(word => word.norm)
  if (!short.length || long.length <= short.length) return null
  for (let at = 0; at + short.length <= long.length; at++) {
    if (!short.every((norm, i) => long[at + i]!.norm === norm)) continue
    const before = long[at - 1]?.end ?? 0
    const after = long[at + short.length]?.start ?? longer.length
    const [front, back] = [longer.slice(0, before).trim(), longer.slice(after).trim()]
    return front && back ? `${front} … ${back}` : front || back
  }
  return null
}

/**
 * Longer phrases to try for one that is too hard: those known to hold it word for word, and it with each
 * modifier and place added. Known ones come first; none stands twice.
 *
 * @param known phrases that hold its words, in the order they should be tried.
 * @param modifiers the language's own; `MODIFIERS` for English.
 */
export function longerPhrases(
  phrase: string,
  known: readonly string[],
  places: readonly string[],
  modifiers: readonly { text: string; at: 'before' | 'after' }[] = MODIFIERS,
): LongerPhrase[] {
  const base = phraseKey(phrase)
  const found = new Map<string, LongerPhrase>()
  const put = (longer: LongerPhrase) => {
    if (!found.has(longer.phrase)) found.set(longer.phrase, longer)
  }
  for (const each of known) {
    const key = phraseKey(each)
    const added = addedWords(key, base)
    if (added !== null) put({ phrase: key, added, from: 'known' })
  }
  const held = new Set(words(base).map(word => word.norm))
  const holds = (text: string) => words(text).every(word => held.has(word.norm))
  for (const { text, at } of modifiers) {
    if (holds(text) || (at === 'before' && ASKS.test(base))) continue
    put({ phrase: phraseKey(at === 'before' ? `${text} ${base}` : `${base} ${text}`), added: text, from: 'modifier' })
  }
  for (const place of places)
    if (!holds(place)) put({ phrase: phraseKey(`${base} ${place}`), added: place, from: 'place' })
  return [...found.values()]
}

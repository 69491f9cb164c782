import { words } from '../text/words'

/** Words of a text as they are compared, with a space around each. */
const normed = (text: string) =>
  ` ${words(text)
    .map(word => word.norm)
    .join(' ')} `

/**
 * Which of some phrases a title is most likely meant for: of those that stand in it whole and in a row, the one with
 * the most words, and of equals the one searched most. A single word says too little.
 *
 * @param volume searches a month; `null` where they are not known.
 * @returns a function from a title to the phrase, '' where none stands in it.
 */
export function leadInTitle(phrases: readonly { phrase: string; volume: number | null }[]): (title: string) => string {
  const known = phrases
    .map(({ phrase, volume }) => ({ phrase, volume: volume ?? 0, text: normed(phrase), words: words(phrase).length }))
    .filter(each => each.words > 1 && each.volume > 0)
    .sort((a, b) => b.words - a.words || b.volume - a.volume)
  /** By their first word: a title is compared with those alone that begin with one of its own. */
  const byFirst = new Map<string, typeof known>()
  for (const each of known) {
    const first = each.text.split(' ', 2)[1]!
    byFirst.set(first, [...(byFirst.get(first) ?? []), each])
  }
  return title => {
    const text = normed(title)
    let best: (typeof known)[number] | null = null
    for (const { norm } of words(title))
      for (const each of byFirst.get(norm) ?? []) {
        if (!text.includes(each.text)) continue
        if (!best || each.words > best.words || (each.words === best.words && each.volume > best.volume)) best = each
        break
      }
    return best?.phrase ?? ''
  }
}

import { GRADES, span, type Match, type ReadPhrase, type ReadText } from '../text/match'
import type { Placement } from './draft'
import type { PlaceText } from './places'

type Matcher = (phrase: ReadPhrase, text: ReadText) => Match

/**
 * The best standing of every phrase in every place that applies: the rows and columns of the
 * placement grid. Among equals the earliest item wins.
 */
export function placements(phrases: readonly ReadPhrase[], places: readonly PlaceText[], match: Matcher): Placement[] {
  const found: Placement[] = []
  for (const phrase of phrases) {
    const best = new Map<string, Placement>()
    for (const { place, item, offset, text } of places) {
      const standing = match(phrase, text)
      const before = best.get(place)
      if (before && GRADES.indexOf(before.grade) <= GRADES.indexOf(standing.grade)) continue
      const where = span(standing)
      best.set(place, {
        phrase: phrase.raw,
        place,
        ...(item === undefined || !where ? {} : { item }),
        grade: standing.grade,
        start: where ? where.start + offset : 0,
        end: where ? where.end + offset : 0,
      })
    }
    found.push(...best.values())
  }
  return found
}

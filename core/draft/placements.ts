import { cueAt } from '../captions/spoken'
import { GRADES, span, type Match, type Range, type ReadPhrase, type ReadText } from '../text/match'
import type { PlaceId, Placement } from './draft'
import { matchHashtag } from './hashtags'
import type { PlaceText } from './places'

const RANK = Object.fromEntries(GRADES.map((grade, rank) => [grade, rank])) as Record<(typeof GRADES)[number], number>

/** The cue in which it is spoken first, with the place in its own text. */
function inCue(text: ReadText, { start, end }: Range) {
  const from = text.raw.lastIndexOf('\n', start - 1) + 1
  return { item: cueAt(text, start), start: start - from, end: end - from }
}

type Matcher = (phrase: ReadPhrase, text: ReadText) => Match

/**
 * The best standing of every phrase in every place that applies: the rows and columns of the
 * placement grid. Among equals the earliest item wins.
 */
export function placements(phrases: readonly ReadPhrase[], places: readonly PlaceText[], match: Matcher): Placement[] {
  const found: Placement[] = []
  for (const phrase of phrases) {
    const best = new Map<PlaceId, { at: number; standing: Match }>()
    for (let at = 0; at < places.length; at++) {
      const { place, text } = places[at]!
      const standing = place === 'hashtags' ? matchHashtag(phrase, text.raw) : match(phrase, text)
      const before = best.get(place)
      if (!before) best.set(place, { at, standing })
      else if (RANK[standing.grade] < RANK[before.standing.grade]) {
        before.at = at
        before.standing = standing
      }
    }
    for (const { at, standing } of best.values()) {
      const { place, item, offset } = places[at]!
      const where = span(standing)
      const placement: Placement = {
        phrase: phrase.raw,
        place,
        grade: standing.grade,
        start: where ? where.start + offset : 0,
        end: where ? where.end + offset : 0,
      }
      if (item !== undefined && where) placement.item = item
      if (place === 'spoken' && where) Object.assign(placement, inCue(places[at]!.text, where))
      found.push(placement)
    }
  }
  return found
}

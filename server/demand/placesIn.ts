import type { PlaceNames } from '../../core/demand/placeNames'
import { words } from '../../core/text/words'

/** The places that phrases name, lower case. */
export function placesIn(names: PlaceNames, phrases: readonly string[], language: string): Set<string> {
  const found = phrases.map(phrase => names.in(words(phrase, language).map(word => word.norm)))
  return new Set(found.filter(name => name !== null))
}

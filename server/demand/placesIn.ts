import type { PlaceNames } from '../../core/demand/placeNames'
import { phraseKey, words } from '../../core/text/words'

/** Shorter words within a name of several, such as *on*, are written small. */
const SHORT = 3

/**
 * Words, lower case, of the places that phrases name.
 * @param town a place that is known to be meant, also where no list has it.
 */
export function placesIn(
  names: PlaceNames,
  phrases: readonly string[],
  language: string,
  town?: string | null,
): Set<string> {
  const found = phrases.map(phrase => names.in(words(phrase, language).map(word => word.norm)))
  return new Set(
    [...found, town ? phraseKey(town) : null]
      .filter(name => name !== null)
      .flatMap(name => name.split(' ').filter((word, i) => i === 0 || word.length > SHORT)),
  )
}

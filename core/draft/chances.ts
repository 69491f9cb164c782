import { RivalReader, STRENGTH_WEIGHTS, targeting } from '../rivals/strength'
import { readPhrase } from '../text/match'
import type { DraftTexts } from './draft'

/** What of a channel's strength is known. */
export interface OwnParts {
  /** Of a well-worded video, 0 to 1. */
  strength: number
  reach: number | null
  pull: number | null
}

/**
 * How strong a channel's video is for a phrase as it is worded, 0 to 1: the strength of a well-worded one, less what
 * the wording lacks. It counts as for any result of a page: title, first line, best tag.
 *
 * @param language BCP 47. @param reader shared by the phrases of one draft.
 */
export function strengthAsWorded(
  own: OwnParts,
  phrase: string,
  draft: DraftTexts,
  language: string,
  reader = new RivalReader(language),
): number {
  const worded = targeting(
    readPhrase(phrase, language),
    {
      title: draft.title ?? '',
      description: draft.description ?? null,
      tags: draft.tags ?? null,
      subscribers: null,
      viewsPerDay: null,
    },
    reader,
  )
  const { targeting: weight, reach, pull } = STRENGTH_WEIGHTS
  const sum = weight + (own.reach === null ? 0 : reach) + (own.pull === null ? 0 : pull)
  return own.strength - (weight / sum) * (1 - worded)
}

import { fullWording, learntRanks, wordingValue } from '../../core/chance/model'
import { readVideoText } from '../../core/chance/signals'
import { strengthAsWorded, type OwnParts } from '../../core/draft/chances'
import { forecast, RESULTS_READ } from '../../core/rivals/forecast'
import { RivalReader } from '../../core/rivals/strength'
import type { SavedPage } from '../data/results'
import type { OwnStanding } from '../demand/regionColumns'
import type { LearntModels } from './learntModels'
import { pageForecast, type PageForecastDeps } from './pageForecast'

/** The texts of a video that is out. */
export interface VideoTexts {
  title: string
  description: string | null
  tags: string[] | null
}
/** P(rank = k) at index k − 1 of a video of mine on a page, by how it is worded; the last one “behind all of them”. */
export interface WordedRanks {
  of: (texts: VideoTexts) => Float64Array
  /** With the phrase word for word in title, first line and a tag. */
  full: Float64Array
}

/**
 * How a channel’s video that is out may stand on a page by its wording: against all that were read but itself.
 *
 * @param video the site’s id of it. @returns `null` where nothing but itself is known of the page.
 */
export function wordedRanks(
  deps: PageForecastDeps & { chances?: Pick<LearntModels, 'hurdles' | 'hurdlesAsRead' | 'inUse'> },
  page: SavedPage,
  own: OwnParts & OwnStanding,
  { phrase, language, video }: { phrase: string; language: string; video: string },
): WordedRanks | null {
  const judged = pageForecast(deps, page, null, { phrase, language })
  const seats = judged.seats.filter(({ code }) => code !== video)
  if (!page.complete || !seats.length) return null
  const more = judged.page.more === 1
  // The site shows a misspelling the results of the right spelling: texts worded for either are found.
  const spellings = judged.readAs === null ? [phrase] : [judged.readAs, phrase]
  const learnt = page.kind === 'site' ? own.learnt?.[page.region] : undefined
  const found = learnt && deps.chances?.inUse(page.region, { language })
  const hurdles = found ? judged.asked(seats, more ? RESULTS_READ : seats.length) : null
  if (learnt && found && hurdles)
    return {
      of: texts => {
        const read = readVideoText(texts, language)
        const worded = Math.max(...spellings.map(each => wordingValue(found.model, each, language, read)))
        return learntRanks(learnt, hurdles, worded)
      },
      full: learntRanks(learnt, hurdles, fullWording(found.model, spellings[0]!, language)),
    }
  const reader = new RivalReader(language)
  const strengths = seats.map(({ strength }) => strength)
  const ranks = (strength: number) => forecast(strength, strengths, more, own.spread)!.ranks
  return {
    of: ({ title, description, tags }) => {
      const draft = { title, ...(description === null ? {} : { description }), ...(tags === null ? {} : { tags }) }
      return ranks(Math.max(...spellings.map(each => strengthAsWorded(own, each, draft, language, reader))))
    },
    full: ranks(own.strength),
  }
}

import { z } from 'zod'
import type { Intent } from '../core/demand/intentNames'
import { regionInput } from '../core/text/inputs'
import { workspaceInput } from './api/inputs'

export const openPhrasesQuery = z.object({ workspace: workspaceInput, region: regionInput })

/** A phrase that people search, on whose page none of mine stands. */
export interface OpenPhrase {
  phrase: string
  /** The topics of the channel that it is about. */
  topics: string[]
  /** What the searcher wants, as far as the wording or the results tell. */
  intent: Intent | null
  /** A month. */
  searches: number
  difficulty: number
  /** Of page one, for a well-worded video of the channel. */
  chance: number
  /** Views a month that such a video is expected to win. */
  views: number
  /** Other phrases that the same video would win, with their views. */
  also: { phrase: string; views: number }[]
}
/** Views a month of all phrases that one video would win. */
export const wonTogether = ({ views, also }: Pick<OpenPhrase, 'views' | 'also'>): number =>
  also.reduce((sum, each) => sum + each.views, views)

/** A topic of the channel. */
export interface PhraseTopic {
  word: string
  /** Videos with it in their titles. */
  videos: number
  /** Phrases with it on whose first page one of mine stands. */
  held: number
  /** Open phrases in it. */
  open: number
}
export interface OpenPhrasesAnswer {
  topics: PhraseTopic[]
  /** Worth most views first, 60 at most. */
  phrases: OpenPhrase[]
  /** Phrases with the words of the topics, those of them worth most that were looked at, and those not assessed yet. */
  known: number
  looked: number
  unknown: number
}

import { z } from 'zod'
import type { Grade } from '../core/text/match'
import type { UpsetReason } from '../core/rivals/upsets'
import type { WordPlace } from '../core/rivals/lift'
import { languageInput, phraseInput, regionInput } from '../core/text/inputs'
import { dayInput } from './api/inputs'

/** What a result page is asked for. */
export const resultsQuerySchema = z.object({
  phrase: phraseInput,
  region: regionInput,
  language: languageInput.default('en'),
  depth: z.coerce
    .number()
    .refine(depth => [20, 40, 60].includes(depth), 'A depth is 20, 40 or 60.')
    .default(20),
  /** The video site's page, or the video block of web search. */
  from: z.enum(['site', 'web'], { error: 'A page comes from site or web.' }).default('site'),
  workspace: z.string().max(60).optional(),
  /** Ask the service again however young the kept page is. */
  anew: z.enum(['0', '1']).optional(),
  /** A page of an earlier day (UTC), as it is kept; nothing is asked. */
  day: dayInput.optional(),
})
export type ResultsQuery = z.infer<typeof resultsQuerySchema>

export interface RivalRow {
  rank: number
  videoId: string
  title: string
  /** Where the phrase stands in the title: UTF-16 offsets. */
  titleRanges: { start: number; end: number }[]
  description: string | null
  tags: string[] | null
  channel: { id: string; title: string; subscribers: number | null }
  views: number | null
  viewsPerDay: number | null
  likes: number | null
  /** `null` where the site does not tell it. */
  dislikes: number | null
  comments: number | null
  publishedAt: number | null
  durationSeconds: number | null
  thumbnail: string | null
  strength: number
  targeting: number
  reach: number | null
  pull: number | null
  /** Match of the phrase in title, first line and best tag. */
  matches: { title: Grade; firstLine: Grade | null; tag: Grade | null }
  /** Taken out by hand as speaking of something else. */
  off: boolean
  /** Chance that it stays ahead of a well-worded video of mine; `null` without a channel. */
  ahead: number | null
  /** Why its seat is soft, when it is. */
  soft: string[] | null
  /** Views a day against what size and age let expect, and whether that makes it an upset. */
  timesExpected: number | null
  upset: boolean
  upsetReason: UpsetReason
  /** Its rank on the page kept before, `null` when it was not there; absent without an earlier page. */
  before?: number | null
}

export interface Spreads {
  name: 'views' | 'viewsPerDay' | 'subscribers' | 'age' | 'length'
  low: number
  median: number
  high: number
  values: number[]
}

export interface Reading {
  sentence: string
  own: { strength: number; reach: number | null; pull: number | null } | null
  forecast: { pageOne: number; likely: [number, number]; ranks: number[]; softSeats: number[] } | null
  /**
   * The chance of page one from the first twenty results alone, by which phrases are compared; `null` like the
   * forecast.
   */
  compared: number | null
  /**
   * Where the forecast was learnt from pages: how many, when, and the chance by fixed weights beside it; `null` where
   * it is by those.
   */
  learntFrom: { pages: number; at: number; constants: number | null } | null
  winnings: { expected: number; low: number; high: number } | null
  earnings: { currency: string; lowMicros: number; highMicros: number } | null
  volume: number | null
  /** Share of page one that changes in thirty days; `null` until two pages are kept. */
  turnover: number | null
  pagesKept: number
  age: { young: number; median: number } | null
  exactTitles: number
  exactFirstLines: number
  spreads: Spreads[]
}

export interface PageChannel {
  id: string
  title: string
  subscribers: number | null
  results: number
  nameHolds: boolean
}

export interface ResultsAnswer {
  phrase: string
  region: string | null
  from: 'site' | 'web'
  at: number
  source: string
  complete: boolean
  /** Whether there are results beyond those read. */
  more: boolean
  titleMatches: number | null
  /** The more searched spelling whose results the phrase shows; `null` for its own. */
  readAs: string | null
  difficulty: { page: number; front: number; middle: number; rest: number } | null
  rows: RivalRow[]
  reading: Reading
  channels: PageChannel[]
  /** Earlier looks, newest first, and who left since the one before. */
  looks: { id: number; at: number; difficulty: number | null }[]
  left: { videoId: string; title: string; before: number }[]
  /** Why the page is an old one, when a service could not tell a new one. */
  problem: string | null
}

export interface PageWord {
  term: string
  place: WordPlace
  users: number
  ranks: number[]
  lift: number
  volume: number | null
}
export interface WordsAnswer {
  phrase: string
  neighbours: string[]
  results: number
  words: PageWord[]
}

export interface ChannelStats {
  id: string
  title: string
  subscribers: number | null
  foundedAt: number | null
  /** As the site counts them; the list may have fewer. */
  videos: number | null
  listed: number
  medianViews: number | null
  viewsPerSubscriber: number | null
  /** Share of the channel’s views from its best video. */
  oneVideoShare: number | null
  at: number
}
export interface ChannelVideo {
  videoId: string
  title: string
  views: number | null
  viewsPerDay: number | null
  likes: number | null
  comments: number | null
  publishedAt: number | null
  durationSeconds: number | null
  thumbnail: string | null
  tags: string[] | null
  timesExpected: number | null
  upset: boolean
}
export interface ChannelAnswer extends ChannelStats {
  rows: ChannelVideo[]
  phrases: { phrase: string; region: string | null; rank: number }[]
  earnings: { currency: string; lowMicros: number; highMicros: number } | null
  /** Whether it is in the workspace's rival set. */
  watched: boolean
  problem: string | null
}
/** The texts of a video of one's own; `null` where nobody told them. */
export interface OwnTexts {
  id: string
  title: string
  description: string | null
  tags: string[] | null
}

export interface VideoAnswer extends Omit<ChannelVideo, 'upset'> {
  description: string | null
  channel: ChannelStats
  phrases: { phrase: string; region: string | null; rank: number }[]
  at: number
}

/** What is trending in a region, as last told by the site. */
export interface TrendingAnswer {
  region: string | null
  at: number | null
  source: string | null
  /** All that is trending, whatever it is filtered by. */
  total: number
  problem: string | null
  rows: TrendingRow[]
}
export interface TrendingRow {
  rank: number
  videoId: string
  title: string
  channel: { id: string; title: string; subscribers: number | null }
  views: number | null
  viewsPerDay: number | null
  publishedAt: number | null
  durationSeconds: number | null
  thumbnail: string | null
}

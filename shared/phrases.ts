import type { WorthFactor, WorthFactorName } from '../core/demand/worth'
import { z } from 'zod'
import type { IntentAnswer } from '../core/demand/intent'
import { INTENTS, type Intent } from '../core/demand/intentNames'
import type { Season } from '../core/demand/season'
import type { Spike } from '../core/demand/spike'
import type { Trend } from '../core/demand/trend'
import { MOST_SEEDS, splitSeeds } from '../core/demand/seeds'
import { languageInput, phraseInput, regionInput } from '../core/text/inputs'
import { MAX_PHRASE } from '../core/text/words'
import { sortInput } from './api/inputs'

/** Columns by which phrases can be sorted. */
export const PHRASE_SORTS = [
  'phrase',
  'words',
  'volume',
  'volumeAll',
  'change',
  'competition',
  'difficulty',
  'worth',
  'via',
  'chance',
  'season',
  'advertiser',
] as const
export type PhraseSort = (typeof PHRASE_SORTS)[number]

const flag = z
  .enum(['1', '0', 'true', 'false'], { error: 'Use 1, or leave it out.' })
  .optional()
  .transform(value => value === '1' || value === 'true')
const figure = z.coerce.number({ error: 'Give a number.' }).min(0, 'Give a number of 0 or more.').optional()

/** The question `/api/phrases` answers. */
export const phrasesQuerySchema = z.object({
  /** One seed, or several separated by commas or line ends. */
  seed: z
    .string({ error: 'Give a seed as text.' })
    .max(MOST_SEEDS * (MAX_PHRASE + 2), `Seeds can be ${MOST_SEEDS} at most, of ${MAX_PHRASE} characters each.`)
    .transform((text, context) => {
      const seeds = splitSeeds(text)
      if (!seeds.length) context.addIssue({ code: 'custom', message: 'Type at least one word.' })
      else if (seeds.length > MOST_SEEDS)
        context.addIssue({
          code: 'custom',
          message: `Seeds can be ${MOST_SEEDS} at most; you sent ${seeds.length}. Remove some.`,
        })
      else if (seeds.some(seed => seed.length > MAX_PHRASE))
        context.addIssue({ code: 'custom', message: `A seed can be ${MAX_PHRASE} characters at most. Shorten it.` })
      return seeds
    }),
  region: regionInput,
  language: languageInput.default('en'),
  limit: z.coerce.number().int().min(1).max(1000).default(200),
  offset: z.coerce.number().int().min(0).default(0),
  /** Terms separated by commas: a phrase contains all words of one of the first, and none of the second. */
  contains: z.string().max(500).optional(),
  exclude: z.string().max(500).optional(),
  /** Only questions, only what rises, only what both sources suggest, only where web search shows videos. */
  questions: flag,
  rising: flag,
  both: flag,
  block: flag,
  /** A calendar month, 1 January, in which the phrase has its season. */
  season: z.coerce
    .number({ error: 'Give a month as 1 to 12.' })
    .int()
    .min(1, 'Give a month as 1 to 12.')
    .max(12, 'Give a month as 1 to 12.')
    .optional(),
  intent: z.enum(INTENTS, { error: `An intent is one of ${INTENTS.join(', ')}.` }).optional(),
  /** A brief: what its tray holds stays away, and unless `aside` is set also what it set aside. */
  brief: z.string().max(60).optional(),
  tray: flag,
  aside: flag,
  /** Whether worth and chance are for anyone, or for the channel of a workspace. */
  for: z.enum(['anyone', 'channel']).default('anyone'),
  workspace: z.string().max(60).optional(),
  /** Ask the services now, however young the last look is. */
  anew: flag,
  minWords: figure,
  maxWords: figure,
  minVolume: figure,
  maxDifficulty: figure,
  sort: sortInput(PHRASE_SORTS, 'volume:desc'),
})
export type PhrasesQuery = z.infer<typeof phrasesQuerySchema>

/** A phrase with every figure known of it; `null` where unknown. */
export interface PhraseRow {
  phrase: string
  words: number
  /** Mean searches a month over the last 12 complete months, in the region asked for. */
  volume: number | null
  /** The same everywhere. */
  volumeAll: number | null
  /** Up to 36 months in the region, oldest first; empty when no source has them. */
  months: (number | null)[]
  change: number | null
  /** Videos with the phrase in their title, as counted by the site. */
  competition: number | null
  /** 0 to 100; null until assessed, and for a page without any result. */
  difficulty: number | null
  /** Results read of its page; 0 where there are none, null until it was looked at. */
  results: number | null
  /** A more searched spelling with the same results, whose difficulty, chance and competition it takes. */
  readAs: string | null
  worth: { anyone: number | null; channel: number | null }
  /** Chance of page one for the channel asked for, 0 to 1. */
  chance: number | null
  via: ('video' | 'web')[]
  videoBlock: boolean | null
  /** What advertisers pay or bid, as imported; never competition. */
  advertiser: number | null
  tendency: 'rising' | 'fading' | 'steady' | null
  /** Calendar months of the peak, 0 January; `null` where no season is seen. */
  season: { strength: number; peaks: number[] } | null
  spiked: boolean | null
  intent: Intent | null
  question: boolean
  /** Which of several seeds brought it; absent with one. */
  seeds?: string[]
  source: string | null
  at: number | null
}

export interface PhrasesAnswer {
  seed: string
  /** The seeds as they were understood. */
  seeds: string[]
  region: string | null
  total: number
  /** Left out because the tray holds them or they were set aside. */
  withheld: number
  rows: PhraseRow[]
  /** The last complete month, `yyyy-mm`. */
  monthsEnd: string | null
  modelVersion: number
  tookMs: number
  /** What a service failed to deliver, in words. */
  missing: string[]
  /**
   * What the seed may have meant, where hardly any phrase holds its words: with what was changed to find it. None of
   * them is among the rows.
   */
  near: { phrase: string; why: string; seed: string }[]
}

export const assessBodySchema = z.object({
  phrases: z.array(phraseInput).min(1, 'Name at least one phrase to assess.').max(20_000),
  region: regionInput,
  language: languageInput.default('en'),
  workspace: z.string().max(60).optional(),
  /** Whether to load missing search figures, too. */
  learn: z.boolean().default(false),
  /** What the work is about, for the list of long work. */
  title: z.string().max(200).optional(),
})
export type AssessBody = z.infer<typeof assessBodySchema>

/** One line of the assessment stream. */
export interface AssessedRow {
  phrase: string
  difficulty: number | null
  competition: number | null
  results: number | null
  readAs: string | null
  worth: PhraseRow['worth']
  chance: number | null
  videoBlock: boolean | null
  intent: Intent | null
  complete: boolean
  at: number | null
  /** Why there is no figure, when there is none. */
  problem: string | null
}

export interface PhraseDetail extends PhraseRow {
  region: string | null
  monthsEnd: string | null
  trend: { direction: string; yearly: number } | null
  difficultyParts: { page: number; front: number; middle: number; rest: number } | null
  worthWorking: {
    cap: number
    capAt: number | null
    factors: WorthFactor[]
    heldBackBy: WorthFactorName | null
  }
  /** The same for the channel asked for; `null` without one. */
  channelWorking: Pick<PhraseDetail['worthWorking'], 'factors' | 'heldBackBy'> | null
  /**
   * What my channel's chance is made of where it was learnt from pages, as parts of its logit; `null` where it is by
   * fixed weights.
   */
  chanceWorking: {
    /** The chance by fixed weights. */
    constants: number | null
    pages: number
    at: number
    /** The part of pairs of results whose order is told right on pages left out, and by fixed weights. */
    pairs: { learnt: number; constants: number }
    parts: { name: 'size' | 'views' | 'channel' | 'page'; value: number }[]
    /** The chance of a video that does as much worse or better as one in six. */
    range: [number, number]
  } | null
  /** The chance before it was corrected by what came of earlier forecasts; `null` where it is not. */
  chanceBefore: number | null
  pageAt: number | null
  figures: { region: string | null; source: string; volume: number | null; at: number }[]
  modelVersion: number
}

/** A phrase laid open: everything the sheet beside the table shows. */
export interface PhraseSheet {
  detail: PhraseDetail
  season: Season | null
  trend: Trend | null
  spike: Spike | null
  /** What its months say, in a sentence or three. */
  story: string
  intent: IntentAnswer | null
  /** Results clustered by the words they share; more than one cluster is more than one meaning. */
  meanings: { name: string[]; ids: string[]; titles: string[]; share: number }[]
  top: {
    videoId: string
    rank: number
    title: string
    channel: string
    subscribers: number | null
    views: number | null
    publishedAt: number | null
    thumbnail: string | null
    strength: number
  }[]
  /** Videos with the phrase in their title, per thousand monthly searches; `null` where there are none. */
  competitionPerThousand: number | null
  interest: { region: string; volume: number }[]
  related: { phrase: string; volume: number | null; change: number | null }[]
  rising: { phrase: string; volume: number | null; change: number | null }[]
  note: string
  noteRevision: number
  missing: string[]
}

export interface ImportAnswer {
  accepted: number
  updated: number
  rejected: { line: number; reason: string }[]
  /** Rejected lines beyond those listed. */
  rejectedMore: number
  columns: Record<string, string>
}

/** Phrases that share results: one video can win them together. */
export interface ClustersAnswer {
  clusters: { head: string; phrases: string[]; volume: number }[]
  withPages: number
}

/** A longer phrase to try, with what it adds and what is known of it. */
export interface LongerRow {
  phrase: string
  added: string
  from: 'known' | 'modifier' | 'place'
  row: PhraseRow | null
}
/** Longer phrases, and what is known of the phrase itself. */
export interface LongerAnswer {
  self: PhraseRow | null
  rows: LongerRow[]
  missing: string[]
}

/** One phrase of a shortlist, on every figure. */
export interface ShortlistColumn {
  row: PhraseRow
  story: string
  intent: IntentAnswer | null
  difficultyParts: PhraseDetail['difficultyParts']
  /** `last` is the rank that stands for all beyond those reckoned with. */
  forecast: { pageOne: number; likely: [number, number]; last: number; softSeats: number } | null
  winnings: { expected: number; low: number; high: number } | null
  turnover: number | null
  age: { young: number; median: number } | null
  exactTitles: number
  competitionPerThousand: number | null
  meanings: string[][]
  problem: string | null
}

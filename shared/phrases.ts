import { z } from 'zod'
import { languageInput, phraseInput, regionInput } from './text'

/** Columns by which phrases can be sorted. */
export const PHRASE_SORTS = ['phrase', 'words', 'volume', 'volumeAll', 'change', 'competition', 'difficulty', 'worth', 'via'] as const
export type PhraseSort = typeof PHRASE_SORTS[number]

const figure = z.coerce.number({ error: 'Give a number.' }).min(0, 'Give a number of 0 or more.').optional()

/** The question `/api/phrases` answers. */
export const phrasesQuerySchema = z.object({
  seed: phraseInput,
  region: regionInput,
  language: languageInput.default('en'),
  limit: z.coerce.number().int().min(1).max(1000).default(200),
  offset: z.coerce.number().int().min(0).default(0),
  /** A text the phrase must hold, word by word. */
  contains: z.string().max(200).optional(),
  minWords: figure,
  maxWords: figure,
  minVolume: figure,
  maxDifficulty: figure,
  sort: z.string().default('volume:desc').transform((value, context) => {
    const [column, direction = 'desc'] = value.split(':')
    if (PHRASE_SORTS.includes(column as PhraseSort) && (direction === 'asc' || direction === 'desc')) return { column: column as PhraseSort, direction: direction as 'asc' | 'desc' }
    context.addIssue({ code: 'custom', message: `Sort by one of ${PHRASE_SORTS.join(', ')}, with :asc or :desc.` })
    return z.NEVER
  }),
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
  /** Up to 36 months in the region, oldest first; empty when no source tells them. */
  months: (number | null)[]
  change: number | null
  /** Videos whose title holds the phrase, as the site tells it. */
  competition: number | null
  /** 0 to 100; null until assessed. */
  difficulty: number | null
  worth: { anyone: number | null, channel: number | null }
  via: ('video' | 'web')[]
  videoBlock: boolean | null
  source: string | null
  at: number | null
}

export interface PhrasesAnswer {
  seed: string
  region: string | null
  total: number
  rows: PhraseRow[]
  /** The last complete month, `yyyy-mm`. */
  monthsEnd: string | null
  modelVersion: number
  tookMs: number
  /** What could not be had from a service, in words. */
  missing: string[]
}

export const assessBodySchema = z.object({
  phrases: z.array(phraseInput).min(1, 'Name at least one phrase to assess.').max(20_000),
  region: regionInput,
  language: languageInput.default('en'),
})

/** One line of the assessment stream. */
export interface AssessedRow {
  phrase: string
  difficulty: number | null
  competition: number | null
  worth: PhraseRow['worth']
  videoBlock: boolean | null
  complete: boolean
  at: number | null
  /** Why there is no figure, when there is none. */
  problem: string | null
}

export interface PhraseDetail extends PhraseRow {
  region: string | null
  monthsEnd: string | null
  trend: { direction: string, yearly: number } | null
  difficultyParts: { page: number, front: number, middle: number, rest: number } | null
  worthWorking: {
    cap: number, capAt: number | null
    factors: { name: 'demand' | 'ease' | 'trend', value: number | null, weight: number, holdsBack: number | null }[]
    heldBackBy: 'demand' | 'ease' | 'trend' | null
  }
  pageAt: number | null
  figures: { region: string | null, source: string, volume: number | null, at: number }[]
  modelVersion: number
}

export interface ResultsAnswer {
  phrase: string
  region: string | null
  at: number
  source: string
  complete: boolean
  titleMatches: number | null
  difficulty: { page: number, front: number, middle: number, rest: number } | null
  rows: {
    rank: number, videoId: string, title: string, description: string, tags: string[]
    channel: { id: string, title: string, subscribers: number | null }
    views: number, viewsPerDay: number, likes: number | null, comments: number | null, publishedAt: number, durationSeconds: number, strength: number
  }[]
}

export interface ImportAnswer {
  accepted: number
  updated: number
  rejected: { line: number, reason: string }[]
  /** Rejected lines beyond those listed. */
  rejectedMore: number
  columns: Record<string, string>
}

export interface JobState {
  id: string
  kind: 'assess'
  state: 'running' | 'done' | 'stopped' | 'failed'
  done: number
  total: number
  startedAt: number
  endedAt: number | null
  problem: string | null
}

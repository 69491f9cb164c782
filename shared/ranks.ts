import { z } from 'zod'
import { languageInput, phraseInput, regionInput } from '../core/text/inputs'
import { workspaceInput } from './api/inputs'

/** Where a video stood for a phrase on a day. */
export interface RankRow {
  videoId: string
  phrase: string
  region: string | null
  kind: 'site' | 'web'
  /** `yyyy-mm-dd`, UTC. */
  day: string
  /** `null` where it was not among the results read. */
  rank: number | null
  /** How many results were read. */
  depth: number
}

const kind = z.enum(['site', 'web'], 'A kind is site or web.')
const videoId = z.string().min(1, 'Name a video.').max(200)
const day = z.iso.date('Give a day, year first, such as 2026-03-14.')
export const ranksQuery = z.object({
  videoId,
  phrase: z.string().max(200).optional(),
  region: regionInput,
  kind: kind.optional(),
  from: day.optional(),
  to: day.optional(),
})
export const rankLookSchema = z.object({
  videoId,
  phrases: z.array(phraseInput).min(1, 'Name a phrase.').max(30, '30 phrases can be looked up in one request.'),
  region: regionInput,
  language: languageInput.default('en'),
  kind: kind.default('site'),
  workspace: workspaceInput,
})
export interface RankLookAnswer {
  rows: RankRow[]
  /** Why some could not be looked up. */
  problems: { phrase: string; message: string }[]
}

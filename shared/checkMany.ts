import { z } from 'zod'
import type { CheckState } from '../core/draft/score'
import { languageInput } from '../core/text/inputs'
import { draftPhrasesSchema, draftSchema } from './check'

/** A line of many texts to be scored. */
export const manyLineSchema = z.object({
  /** Sent back as it came. */
  id: z.string().max(300).optional(),
  draft: draftSchema,
  phrases: draftPhrasesSchema.default({ lead: '', support: [] }),
  language: languageInput.optional(),
})

/** By which rules, for all lines. */
export const manyQuerySchema = z.object({
  ruleSet: z.string().default('balanced'),
  profile: z.string().default('video-site'),
  language: languageInput.default('en'),
})

/** What a line is answered with, in the order of the lines. */
export type ManyAnswer = { id?: string } & (
  | {
      points: number
      outOf: number
      percent: number | null
      checks: { id: string; state: CheckState; points: number; outOf: number }[]
    }
  | { error: { code: string; message: string } }
)

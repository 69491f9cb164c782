import { z } from 'zod'
import type { CheckEvidence } from '../core/evidence/evidence'
import type { WeightProposal } from '../core/evidence/weights'
import { languageInput, regionInput } from '../core/text/inputs'
import { limitProfileSchema, ruleSetSchema } from './check'

/** Results no older than a year when the page was read, or older ones: sites may rank them by different rules. */
export const AGES = ['new', 'old'] as const

/** Which of the pages kept are looked at; all unless said otherwise. */
export const evidencePagesSchema = z.object({
  region: regionInput,
  language: languageInput.optional(),
  age: z.enum(AGES, 'Ages are new and old.').optional(),
  /** Only pages of phrases that hold these words. */
  about: z.string().trim().max(200).optional(),
  /** Only pages of the trade of this phrase: those that pages with results in common lead to from its own. */
  trade: z.string().trim().max(200).optional(),
})
const scoredBy = {
  ruleSet: z.union([z.string(), ruleSetSchema]).default('balanced'),
  profile: z.union([z.string(), limitProfileSchema]).default('video-site'),
}
export const evidenceBodySchema = evidencePagesSchema.extend(scoredBy)
/** A link carries ids, not whole sets. */
export const evidenceQuerySchema = evidencePagesSchema.extend({
  ruleSet: z.string().default('balanced'),
  profile: z.string().default('video-site'),
})
export type EvidencePages = z.infer<typeof evidencePagesSchema>

/** What the pages kept say of the checks of a rule set. */
export interface EvidenceAnswer {
  /** When it was worked out, UTC milliseconds; `null` where it never was. */
  at: number | null
  pages: number
  /** Families of pages that hold mostly the same videos. */
  families: number
  checks: CheckEvidence[]
  /** Pages kept that have not been read for it yet. */
  unread: number
  /** Weights as it would have them. */
  weights: WeightProposal[]
}

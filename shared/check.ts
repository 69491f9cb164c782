import { z } from 'zod'
import { limitProfileSchema } from '../core/draft/profileSchema'
import { ruleSetSchema } from '../core/draft/ruleSetSchema'
import { languageInput } from '../core/text/inputs'

export { limitProfileSchema, ruleSetSchema }

/** The phrases a text is written for. */
export const draftPhrasesSchema = z.object({
  lead: z.string().max(1000).default(''),
  support: z.array(z.string().max(1000)).max(200).default([]),
})

/** The texts of one video; what is absent does not apply. */
export const draftSchema = z.object({
  fileName: z.string().max(1000).optional(),
  title: z.string().max(20_000).optional(),
  description: z.string().max(200_000).optional(),
  tags: z.array(z.string().max(2000)).max(2000).optional(),
  playlist: z.object({ title: z.string().max(20_000), description: z.string().max(200_000) }).optional(),
  captions: z.string().max(2_000_000).optional(),
  outline: z.string().max(60_000).optional(),
  durationSeconds: z.number().min(0).optional(),
  forSearch: z.boolean().optional(),
})

/** What is known around a draft; checks that need more than is given do not apply. */
export const draftContextSchema = z.object({
  page: z
    .array(z.object({ title: z.string().max(2000), channel: z.string().max(300).default('') }))
    .max(100)
    .default([]),
  searches: z.record(z.string().max(2000), z.number().min(0)).default({}),
  playlist: z
    .object({ title: z.string().max(1000), description: z.string().max(20_000).default('') })
    .nullable()
    .default(null),
  ownName: z.string().max(300).default(''),
  standing: z.array(z.string().max(20_000)).max(200).default([]),
  placed: z.array(z.string().max(20_000).nullable()).max(200).default([]),
})

/** A draft, the phrases it is written for, and by which rules it is scored. */
export const checkBodySchema = z.object({
  draft: draftSchema,
  phrases: draftPhrasesSchema,
  ruleSet: z.union([z.string(), ruleSetSchema]).default('balanced'),
  profile: z.union([z.string(), limitProfileSchema]).default('video-site'),
  language: languageInput.default('en'),
  context: draftContextSchema.optional(),
})
export type CheckBody = z.infer<typeof checkBodySchema>

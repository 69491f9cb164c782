import { z } from 'zod'
import { UNITS } from '../core/text/count'
import { ruleSetSchema } from '../core/draft/ruleSetSchema'
import { languageInput } from '../core/text/inputs'

export { ruleSetSchema }

const unit = z.enum(UNITS)
const limit = z.number().int().min(0).max(1_000_000)

export const limitProfileSchema = z.object({
  format: z.literal(1, { error: 'This limit profile has an unknown format.' }),
  id: z.string().max(100),
  name: z.string().max(100),
  title: z.object({ limit, unit, forbidden: z.array(z.string().min(1).max(8)) }),
  description: z.object({ limit, unit, forbidden: z.array(z.string().min(1).max(8)), openingCodePoints: limit }),
  tags: z.object({ limit, unit, spacedTagExtra: limit, separator: limit }),
  hashtags: z.object({ shown: limit, ignoredPast: limit }),
  chapters: z.object({ least: limit, leastSeconds: limit }),
  playlist: z.object({ titleLimit: limit, titleUnit: unit, descriptionLimit: limit, descriptionUnit: unit }),
  surfaces: z.object({
    phone: z.number().positive(),
    desktopList: z.number().positive(),
    suggestion: z.number().positive(),
  }),
})

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
})

/** What is known around a draft; checks that need more than is given do not apply. */
export const draftContextSchema = z.object({
  page: z
    .array(z.object({ title: z.string().max(2000), channel: z.string().max(300).default('') }))
    .max(100)
    .default([]),
  searches: z.record(z.string().max(2000), z.number().min(0)).default({}),
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

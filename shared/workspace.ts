import { z } from 'zod'
import { DESCRIPTION_PARTS } from '../core/descriptions/compose'
import { VARIABLE_NAME } from '../core/blocks/block'
import { INTENTS } from '../core/demand/intentNames'
import { WORTH_WEIGHTS } from '../core/demand/worth'
import { checklistSchema, FIRST_CHECKLIST } from '../core/release/checklist'
import { SPREAD } from '../core/rivals/forecast'
import { EARNED_KINDS } from '../core/formats/earnedColumns'
import { RATES, SHARES } from '../core/rivals/winnings'
import { languageInput, regionCode } from '../core/text/inputs'

const name = z.string().trim().min(1, 'Give it a name.').max(120, 'A name can be 120 characters at most.')
const count = z.number({ error: 'Give a number.' }).int('Give a whole number.').min(0, 'Give a number of 0 or more.')

/** A video of the own channel as a person states it. */
export const ownVideoSchema = z.object({
  id: z.string().min(1).max(100),
  title: z.string().max(300),
  views: count,
  publishedAt: z.number().int(),
})

export type OwnVideo = z.infer<typeof ownVideoSchema>

export const workspacePatchSchema = z.object({
  name: name.optional(),
  /** My channel as a service or a feed describes it; `null` when its figures are entered by hand. */
  channelId: z.string().max(100).nullable().optional(),
  subscribers: count.max(10_000_000_000).nullable().optional(),
  timeZone: z.string().max(60).optional(),
  language: languageInput.optional(),
  region: regionCode.nullable().optional(),
  videos: z.array(ownVideoSchema).max(2000).optional(),
})
export type WorkspacePatch = z.infer<typeof workspacePatchSchema>
export const newWorkspaceSchema = workspacePatchSchema.extend({ name })

/** A channel of one's own or a client's, with what its forecasts are made from. */
export interface Workspace {
  id: string
  name: string
  channelId: string | null
  channelTitle: string | null
  subscribers: number | null
  timeZone: string
  language: string
  region: string | null
  briefs: number
  /** `null` while neither subscribers nor videos are known. */
  own: {
    strength: number
    reach: number | null
    pull: number | null
    viewsPerDay: number | null
    videos: number
    at: number
  } | null
}

const part = z
  .number({ error: 'Give a number.' })
  .min(0, 'Give a number of 0 or more.')
  .max(1, 'Give a number of 1 at most.')
const rate = z.number().min(0).max(1e9)
const micros = z.number().int().min(0).max(1_000_000_000_000)

const lines = z.array(z.string().max(2000)).max(100)
/** What stands in every text of a workspace. */
const textsSchema = z.object({
  /** Addresses with the words before them, a line each. */
  links: lines.default([]),
  /** How to be reached, a line each. */
  contact: lines.default([]),
  town: z.string().max(120).default(''),
  /** Variables of one's own for blocks, by name. */
  variables: z
    .record(
      z.string().regex(VARIABLE_NAME, 'A variable is named by up to 40 letters, digits and dashes.'),
      z.string().max(1000),
    )
    .refine(given => Object.keys(given).length <= 100, 'A workspace can have 100 variables at most.')
    .default({}),
  /** The order of a composed description; the product's own where it is empty. */
  order: z.array(z.enum(DESCRIPTION_PARTS)).max(20).default([]),
  /** Tags that every video gets. */
  tags: z.array(z.string().max(200)).max(100).default([]),
  /** Where tags that are added come. */
  newTags: z.enum(['end', 'start']).default('end'),
})
export type WorkspaceTexts = z.infer<typeof textsSchema>

const currencyInput = z.string().regex(/^[A-Z]{3}$/, 'Give a currency by its three letters.')
const earningsSchema = z.object({
  /** `null` for that of the workspace's region. */
  currency: currencyInput.nullable(),
  each: z.partialRecord(z.enum(EARNED_KINDS), z.number().min(0, 'A value is 0 or more.').max(1e9)),
})

/** What a person sets for one workspace, with the product's own as defaults. */
export const settingsSchema = z.object({
  weights: z
    .object({
      ...{ demand: part, ease: part, trend: part, earnings: part.default(0) },
      /** What a view of each intent brings, as it was taken over; earnings count only with it. */
      brings: z
        .object({ intents: z.partialRecord(z.enum(INTENTS), rate), other: rate.positive() })
        .nullable()
        .default(null),
    })
    .refine(
      ({ demand, ease, trend }) => demand + ease + trend > 0,
      'One of demand, ease and trend must have a weight of more than 0.',
    )
    .default(WORTH_WEIGHTS),
  spread: z
    .object({
      offset: z.number().min(-1).max(1),
      sigma: z.number().min(0.01).max(1),
      tau: z.number().min(0.005).max(0.5),
    })
    .default(SPREAD),
  /** Part of the searches that each rank gets, first rank first. */
  shares: z
    .array(part)
    .min(1)
    .max(60)
    .refine(list => list.reduce((a, b) => a + b, 0) <= 1, 'The shares of all ranks cannot add up to more than 1.')
    .default([...SHARES]),
  /** Micros of a currency for a thousand views, by region; '' for all others. */
  rates: z
    .record(
      z.string().max(2),
      z.object({
        currency: currencyInput,
        lowMicros: micros,
        highMicros: micros,
      }),
    )
    .default(RATES),
  /** What a click, call, coupon or order is worth, and in which currency earnings are told. */
  earnings: earningsSchema.default({ currency: null, each: {} }),
  texts: textsSchema.default(() => textsSchema.parse({})),
  /** Percent of a rule set at which a text is good enough for the person; `null` for none. */
  target: z.number().min(0).max(100).nullable().default(null),
  checklist: checklistSchema.default(FIRST_CHECKLIST),
})
export type Settings = z.infer<typeof settingsSchema>
export const settingsPatchSchema = z.object({
  weights: settingsSchema.shape.weights.unwrap().optional(),
  spread: settingsSchema.shape.spread.unwrap().optional(),
  shares: settingsSchema.shape.shares.unwrap().optional(),
  rates: settingsSchema.shape.rates.unwrap().optional(),
  earnings: earningsSchema.optional(),
  texts: textsSchema.optional(),
  target: z.number().min(0).max(100).nullable().optional(),
  /** `null` goes back to the one a channel begins with. */
  checklist: checklistSchema.nullable().optional(),
})

import { z } from 'zod'
import { DESCRIPTION_PARTS, LENGTHS, type Composed } from '../../core/descriptions/compose'
import { languageInput, regionInput } from '../../core/text/inputs'
import type { TitleIdea } from '../../core/titles/ideas'
import type { MeasuredTitle } from '../../core/titles/measure'
import type { DraftContext } from '../../core/draft/context'
import type { OwnRival } from '../../core/draft/ownRivals'
import type { Cover } from '../../core/draft/cover'
import type { HashtagSuggestion, TagSuggestion } from '../../core/tags/suggest'
import { draftContextSchema, draftPhrasesSchema, draftSchema, limitProfileSchema, ruleSetSchema } from '../check'
import { manyQuerySchema } from '../checkMany'
import type { DraftChance } from '../draftChances'
import { evidenceBodySchema, evidenceQuerySchema, type EvidenceAnswer } from '../evidence'
import type { JobState } from '../jobs'
import type { Translated, TranslationPairs } from '../translation'
import { call, type } from './call'
import { workspaceInput } from './inputs'

const givenLines = z.array(z.string().max(2000)).max(100).optional()
const profileInput = z.union([z.string().max(100), limitProfileSchema]).default('video-site')
/** The place a brief of a series is for: it is written with a capital. */
const town = z.string().max(200).nullish()
const titleQuestion = z.object({
  phrases: draftPhrasesSchema,
  region: regionInput,
  language: languageInput,
  ruleSet: z.union([z.string(), ruleSetSchema]).default('balanced'),
  profile: profileInput,
})

const suggestQuestion = z.object({
  draft: draftSchema,
  phrases: draftPhrasesSchema,
  region: regionInput,
  language: languageInput,
  workspace: workspaceInput,
  profile: profileInput,
})

/** What is composed for a video's texts, and what they do. */
export const textCalls = {
  'POST /api/draft/chances': call({
    body: z.object({
      draft: draftSchema,
      phrases: draftPhrasesSchema,
      region: regionInput,
      language: languageInput,
      workspace: workspaceInput,
    }),
    answer: type<{ rows: DraftChance[] }>(),
  }),
  'POST /api/draft/cover': call({
    body: z.object({
      draft: draftSchema,
      phrases: draftPhrasesSchema,
      ruleSet: z.union([z.string(), ruleSetSchema]).default('balanced'),
      profile: profileInput,
      language: languageInput,
      context: draftContextSchema.optional(),
    }),
    answer: type<Cover>(),
  }),
  'POST /api/tags/suggest': call({
    body: suggestQuestion.extend({
      /** Also those held back, after the others. */
      all: z.boolean().default(false),
    }),
    answer: type<{ suggestions: TagSuggestion[]; heldBack: number; current: TagSuggestion[] }>(),
  }),
  'POST /api/hashtags/suggest': call({
    body: suggestQuestion,
    answer: type<{ suggestions: HashtagSuggestion[] }>(),
  }),
  'POST /api/draft/context': call({
    body: z.object({
      lead: z.string().max(1000).default(''),
      title: z.string().max(20_000).default(''),
      tags: z.array(z.string().max(2000)).max(2000).default([]),
      /** The place a brief of a series is for. */
      town: z.string().max(200).nullish(),
      /** The brief, for the blocks that stand live in it. */
      brief: z.uuid().optional(),
      region: regionInput,
      language: languageInput,
      workspace: workspaceInput,
    }),
    answer: type<{ context: DraftContext }>(),
  }),
  'POST /api/draft/own': call({
    body: z.object({
      title: z.string().max(20_000).default(''),
      phrases: draftPhrasesSchema,
      region: regionInput,
      language: languageInput,
      workspace: workspaceInput,
      /** The brief that is asked about. */
      brief: z.uuid().optional(),
    }),
    answer: type<{ rivals: OwnRival[] }>(),
  }),
  'POST /api/descriptions/compose': call({
    body: z.object({
      phrases: draftPhrasesSchema,
      language: languageInput,
      profile: profileInput,
      benefits: givenLines,
      contact: givenLines,
      links: givenLines,
      chapters: givenLines,
      /** Made from the phrases unless given; an empty list is none. */
      hashtags: z.array(z.string().max(200)).max(60).optional(),
      order: z.array(z.enum(DESCRIPTION_PARTS)).max(20).optional(),
      length: z.enum(LENGTHS, 'A length is short, middle or long.').default('middle'),
      town,
      seed: z.number().int().min(0).max(1e9).default(1),
    }),
    answer: type<Composed>(),
  }),
  /** The body is lines of `manyLineSchema`, the answer lines of `ManyAnswer`. */
  'POST /api/check/many': call({ query: manyQuerySchema, answer: type<string>() }),
  /** Works out in a job what the pages kept say of the checks. */
  'POST /api/evidence': call({ body: evidenceBodySchema, answer: type<{ job: JobState }>() }),
  'GET /api/evidence': call({ query: evidenceQuerySchema, answer: type<EvidenceAnswer>() }),
  'POST /api/translate/languages': call({ answer: type<TranslationPairs>() }),
  'POST /api/translate': call({
    body: z.object({
      texts: z.array(z.string().max(60_000, 'A text can be 60,000 characters at most.')).min(1).max(300),
      from: languageInput,
      to: languageInput,
    }),
    answer: type<Translated>(),
  }),
  'POST /api/titles/measure': call({
    body: titleQuestion.extend({ titles: z.array(z.string().max(2000)).max(300) }),
    answer: type<{ titles: MeasuredTitle[] }>(),
  }),
  'POST /api/titles/ideas': call({
    body: titleQuestion.extend({
      workspace: workspaceInput,
      town,
      /** Another number gives other ideas; the same number the same ones. */
      seed: z.number().int().min(0).max(1e9).default(1),
      count: z.number().int().min(1, 'Ask for 1 idea or more.').max(100, 'Ask for 100 ideas at most.').default(30),
    }),
    answer: type<{ ideas: TitleIdea[] }>(),
  }),
}

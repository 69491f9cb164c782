import { z } from 'zod'
import { CROSS_TEMPLATES, templateFault, type Crossed } from '../../core/demand/cross'
import type { FoundPhrase } from '../../core/demand/phrasesIn'
import { phraseInput, regionInput } from '../../core/text/inputs'
import type { JobState } from '../jobs'
import {
  assessBodySchema,
  phrasesQuerySchema,
  type ClustersAnswer,
  type LongerAnswer,
  type PhraseDetail,
  type PhraseRow,
  type PhrasesAnswer,
  type PhraseSheet,
  type ShortlistColumn,
} from '../phrases'
import { call, type, type Done } from './call'
import { language, phraseQuestion, workspaceInput } from './inputs'

const phrases = call({ query: phrasesQuerySchema, repeated: ['seed'], answer: type<PhrasesAnswer>() })
const sheet = call({ query: phraseQuestion, answer: type<PhraseSheet>() })

const template = z.string().superRefine((value, context) => {
  const fault = templateFault(value)
  if (fault) context.addIssue({ code: 'custom', message: fault })
})

/** What a seed's suggestions are asked for with. */
const suggest = call({
  query: z.object({ prefix: z.string().max(200).default(''), region: regionInput, language }),
  answer: type<{ suggestions: { phrase: string; via: ('video' | 'web')[] }[]; missing: string[] }>(),
})

export const phraseCalls = {
  'GET /api/phrases': phrases,
  'POST /api/phrases': phrases,
  /** Few phrases are answered with lines of `AssessedRow`, many with the job they became. */
  'POST /api/phrases/assess': call({ body: assessBodySchema, answer: type<{ job: JobState }>() }),
  'GET /api/phrases/detail': call({ query: phraseQuestion, answer: type<PhraseDetail>() }),
  'GET /api/phrases/sheet': sheet,
  'POST /api/phrases/sheet': sheet,
  'PUT /api/phrases/note': call({
    body: phraseQuestion.extend({
      text: z.string().max(4000, 'A note can be 4,000 characters at most.'),
      /** That of the note it was made from. */
      revision: z.number().int().min(0).optional(),
    }),
    answer: type<Done & { revision: number }>(),
  }),
  'POST /api/phrases/longer': call({
    body: phraseQuestion.extend({
      places: z.array(z.string().max(100)).max(200).default([]),
      known: z.number().int().min(0).max(300).default(60),
    }),
    answer: type<LongerAnswer>(),
  }),
  'POST /api/phrases/cross': call({
    body: z.object({
      phrases: z.array(phraseInput).min(1, 'Name at least one phrase.').max(500),
      places: z.array(z.string().min(1).max(100)).min(1, 'Choose at least one place.').max(5000),
      templates: z
        .array(template)
        .min(1, 'Choose how phrase and place are put together.')
        .max(8)
        .default([CROSS_TEMPLATES[0]]),
    }),
    answer: type<{ phrases: Crossed[] }>(),
  }),
  'POST /api/phrases/clusters': call({
    body: z.object({ phrases: z.array(phraseInput).max(5000), region: regionInput, language }),
    answer: type<ClustersAnswer>(),
  }),
  'POST /api/phrases/shortlist': call({
    body: z.object({
      phrases: z.array(phraseInput).min(2, 'Choose two phrases at least.').max(6, 'Six phrases at most.'),
      region: regionInput,
      language,
      workspace: workspaceInput,
    }),
    answer: type<{ columns: ShortlistColumn[]; missing: string[] }>(),
  }),
  'POST /api/phrases/figures': call({
    body: z.object({
      phrases: z.array(z.string().max(500)).max(2000),
      region: regionInput,
      language,
      workspace: workspaceInput,
    }),
    answer: type<{ rows: PhraseRow[]; missing: string[] }>(),
  }),
  'POST /api/phrases/found': call({
    body: z.object({
      text: z.string().max(300_000, 'A text can be 300,000 characters at most. Take a part of it.'),
      region: regionInput,
      language,
    }),
    answer: type<{ rows: FoundPhrase[] }>(),
  }),
  'GET /api/suggest': suggest,
  'POST /api/suggest': suggest,
}

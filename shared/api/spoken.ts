import { z } from 'zod'
import { CLEAN_KINDS, type CleanText } from '../../core/captions/clean'
import { CHAPTER_FORMATS } from '../../core/chapters/formats'
import type { CopiedStretch } from '../../core/draft/copied'
import type { Truth } from '../../core/draft/truth'
import { languageInput, regionInput } from '../../core/text/inputs'
import { draftPhrasesSchema, draftSchema } from '../check'
import { call, type } from './call'
import { workspaceInput } from './inputs'

const captions = z.string().max(2_000_000, 'Captions can be 2,000,000 characters at most.')
const seconds = z.number().min(0).max(360_000)
const chapters = z.array(z.object({ start: seconds, title: z.string().max(2000).default('') })).max(1000)

/** What is spoken in a video, its chapters, and whether the texts are true to it. */
export const spokenCalls = {
  'POST /api/captions/clean': call({
    body: z.object({
      captions,
      language: languageInput.default('en'),
      remove: z.array(z.enum(CLEAN_KINDS)).optional(),
      /** Headings of the text, in Markdown. */
      chapters: chapters.default([]),
    }),
    answer: type<CleanText>(),
  }),
  'POST /api/captions/spoken': call({
    body: z.object({
      captions,
      phrases: z.array(z.string().max(1000)).max(500),
      language: languageInput.default('en'),
    }),
    answer: type<{ rows: { phrase: string; count: number; first: number | null }[] }>(),
  }),
  'POST /api/chapters/cut': call({
    body: z.object({
      captions,
      language: languageInput.default('en'),
      /** So many chapters; without it as many as the words tell. */
      count: z.number().int().min(1).max(100).optional(),
      minSeconds: z.number().min(0).max(36_000).optional(),
      /** Of the tray: a chapter in which one is spoken is called so. */
      phrases: z.array(z.string().max(1000)).max(200).default([]),
    }),
    answer: type<{ chapters: { start: number; title: string; sure: number }[] }>(),
  }),
  'POST /api/chapters/format': call({
    body: z.object({ chapters, durationSeconds: seconds.optional(), format: z.enum(CHAPTER_FORMATS) }),
    answer: type<{ text: string }>(),
  }),
  'POST /api/truth': call({
    body: z.object({ draft: draftSchema, language: languageInput.default('en') }),
    answer: type<Truth>(),
  }),
  'POST /api/copied': call({
    body: z.object({
      draft: draftSchema,
      phrases: draftPhrasesSchema,
      region: regionInput,
      language: languageInput,
      workspace: workspaceInput,
    }),
    answer: type<{ stretches: CopiedStretch[]; compared: number }>(),
  }),
}

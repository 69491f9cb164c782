import { z } from 'zod'
import { BRIEF_FIELDS } from '../../core/brief/brief'
import type { Score } from '../../core/draft/score'
import { PICTURE_WIDTHS } from '../../core/thumbnail/picture'
import type { PackedTags } from '../../core/draft/tags'
import { regionInput } from '../../core/text/inputs'
import {
  briefPatchSchema,
  newBriefSchema,
  newSeriesSchema,
  type Brief,
  type BriefLine,
  type BriefTexts,
  type HistoryEntry,
  type PatchAnswer,
  type ReturnedBrief,
} from '../brief'
import { itemBodySchema, itemKindInput, type BriefItem } from '../briefItems'
import { checkBodySchema, limitProfileSchema } from '../check'
import { applyBodySchema, type ApplyAnswer, type PublishAnswer } from '../publish'
import type { ReadinessAnswer } from '../release'
import { mendBodySchema, type ThumbnailAnalysis, type ThumbnailsAnswer } from '../thumbnails'
import { call, type, type Done } from './call'
import { anew, language, ofWorkspace, unlessChanged } from './inputs'

export const briefCalls = {
  'GET /api/briefs': call({ query: ofWorkspace, answer: type<{ briefs: BriefLine[] }>() }),
  'GET /api/briefs/texts': call({ query: ofWorkspace, answer: type<{ briefs: BriefTexts[] }>() }),
  'POST /api/briefs': call({ body: newBriefSchema, answer: type<Brief>() }),
  'POST /api/briefs/series': call({ body: newSeriesSchema, answer: type<{ briefs: Brief[] }>() }),
  /** What a file of a brief that came back would change here. */
  'POST /api/returned': call({
    body: z.object({ file: z.string().max(3_500_000, 'A file of a brief can have 3.5 million characters at most.') }),
    answer: type<ReturnedBrief>(),
  }),
  'GET /api/briefs/:id': call({ answer: type<Brief>() }),
  'PATCH /api/briefs/:id': call({ body: briefPatchSchema, answer: type<PatchAnswer>() }),
  'DELETE /api/briefs/:id': call({
    /** `forever=1` deletes one that is marked deleted, with its history. */
    query: unlessChanged.extend({ forever: z.string().max(10).optional() }),
    answer: type<Done>(),
  }),
  'POST /api/briefs/:id/restore': call({ answer: type<Brief>() }),
  'GET /api/briefs/:id/history': call({
    query: z.object({ field: z.enum(BRIEF_FIELDS) }),
    answer: type<{ entries: HistoryEntry[] }>(),
  }),
  'POST /api/briefs/:id/history': call({
    body: z.object({ field: z.enum(BRIEF_FIELDS), value: z.unknown() }),
    answer: type<Done>(),
  }),
  'GET /api/briefs/:id/items': call({
    query: z.object({ kind: itemKindInput }),
    answer: type<{ items: BriefItem[] }>(),
  }),
  'PUT /api/briefs/:id/items/:item': call({ body: itemBodySchema, answer: type<BriefItem>() }),
  'DELETE /api/briefs/:id/items/:item': call({ answer: type<Done>() }),
  'GET /api/briefs/:id/readiness': call({ query: z.object({ anew }), answer: type<ReadinessAnswer>() }),
  /** The video that it came out as: published from here, named by its address, or the one it was made to mend. */
  'GET /api/briefs/:id/video': call({ answer: type<{ video: string | null }>() }),
  'GET /api/briefs/:id/publish': call({ answer: type<PublishAnswer>() }),
  /** The body is the video's file; the header `Idempotency-Key`, a UUID, makes a repeat answer as before. */
  'POST /api/briefs/:id/publish': call({
    query: z.object({ name: z.string().max(1000).optional() }),
    answer: type<PublishAnswer>(),
  }),
  /** Gives up one that was cut off or refused. */
  'DELETE /api/briefs/:id/publish': call({ answer: type<PublishAnswer>() }),
  /** How a draft stands beside a video that is there, and what of it is changed there. */
  'POST /api/briefs/:id/apply': call({ body: applyBodySchema, answer: type<ApplyAnswer>() }),
  /** A brief's candidates for its thumbnail among the pictures of a kept page; its lead's unless a phrase is given. */
  'GET /api/briefs/:id/thumbnails': call({
    query: z.object({ phrase: z.string().max(600).optional() }),
    answer: type<ThumbnailsAnswer>(),
  }),
  /** The body is the picture. */
  'POST /api/briefs/:id/thumbnails': call({
    query: z.object({ name: z.string().max(1000).optional() }),
    answer: type<BriefItem<'thumbnail'>>(),
  }),
  /** Makes a candidate fit the site's rules, as one of its own. */
  'POST /api/briefs/:id/thumbnails/:item': call({ body: mendBodySchema, answer: type<BriefItem<'thumbnail'>>() }),
  /** The body is the picture; it is not kept. */
  'POST /api/thumbnails/analyse': call({
    query: z.object({
      phrase: z.string().max(600).default(''),
      region: regionInput,
      language,
      profile: z.string().max(100).default('video-site'),
    }),
    answer: type<ThumbnailAnalysis>(),
  }),
  /** A kept picture's bytes; with a width, scaled down to it as WebP. */
  'GET /api/pictures/:picture': call({
    query: z.object({ width: z.enum(PICTURE_WIDTHS, `A width is ${PICTURE_WIDTHS.join(', ')}.`).optional() }),
    answer: type<Buffer>(),
  }),
  /** Answered with an iCalendar file. */
  'GET /api/calendar.ics': call({
    query: ofWorkspace.extend({ brief: z.string().max(60).optional() }),
    answer: type<string>(),
  }),
  /** Answered with a ZIP file. */
  'GET /api/briefs/:id/package': call({ answer: type<Buffer>() }),
  /** Answered with a file. */
  'GET /api/briefs/:id/export': call({
    query: z.object({
      format: z.enum(['text', 'json', 'csv'], { error: 'A format is text, json or csv.' }).default('text'),
    }),
    answer: type<string>(),
  }),
  'POST /api/check': call({ body: checkBodySchema, answer: type<Score>() }),
  'POST /api/tags/pack': call({
    body: z.object({
      candidates: z.array(z.object({ tag: z.string().min(1).max(600), value: z.number().min(0) })).max(2000),
      lead: z.string().max(600).default(''),
      /** Tags that stay, whatever their value. */
      pinned: z.array(z.string().max(600)).max(200).default([]),
      profile: z.union([z.string(), limitProfileSchema]).default('video-site'),
    }),
    answer: type<PackedTags>(),
  }),
}

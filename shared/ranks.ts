import { z } from 'zod'
import { languageInput, phraseInput, regionInput } from '../core/text/inputs'
import type { Brings } from '../core/ranks/brings'
import type { RankDay, RankStanding } from '../core/ranks/standing'
import { inDigits } from '../core/text/inWords'
import { MOST_WATCH_DAYS, type WatchCost } from '../core/ranks/watch'
import { sortInput, workspaceInput } from './api/inputs'

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
/** A region alone, everywhere (`everywhere`) alone, or all of them where it is absent. */
const regionFilter = z
  .string()
  .optional()
  .transform((value, context) => {
    if (value === undefined) return undefined
    const read = regionInput.safeParse(value)
    if (read.success) return read.data ?? ''
    context.addIssue({ code: 'custom', message: read.error.issues[0]!.message })
    return z.NEVER
  })
const day = z.iso.date('Give a day, year first, such as 2026-03-14.')
export const ranksQuery = z.object({
  videoId,
  phrase: z.string().max(200).optional(),
  region: regionFilter,
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

/** How a video of the channel stands for a phrase, and what that brings. */
export interface ChannelRankRow {
  phrase: string
  videoId: string
  title: string
  standing: RankStanding
  /** A month; `null` where they are not known. */
  searches: number | null
  brings: Brings | null
}
export interface ChannelRanksAnswer {
  rows: ChannelRankRow[]
  /** How many there are, of which `rows` are those asked for. */
  total: number
  /** Those of the last weeks, and what they bring a month together. */
  fresh: { rows: number; brings: number }
  /** Whether more than 10,000 are kept: only those of the newest videos are looked at. */
  more: boolean
}
/** Columns by which ranks can be sorted. */
// prettier-ignore
const CHANNEL_SORTS = ['phrase', 'title', 'seen', 'now', 'best', 'week', 'month', 'searches', 'brings', 'more'] as const
export interface ChannelRankSort {
  column: (typeof CHANNEL_SORTS)[number]
  direction: 'asc' | 'desc'
}
export const channelRanksQuery = z.object({
  workspace: workspaceInput,
  region: regionInput,
  kind: kind.default('site'),
  contains: z.string().max(100).optional(),
  sort: sortInput(CHANNEL_SORTS, 'brings:desc'),
  limit: z.coerce
    .number('Give a whole number.')
    .int('Give a whole number.')
    .min(1, 'Ask for one row at least.')
    .max(10_000, '10,000 come in one answer.')
    .default(10_000),
  offset: z.coerce.number('Give a whole number.').int('Give a whole number.').min(0, 'Give 0 or more.').default(0),
})

/** A video that is looked up on a page again and again. */
export interface WatchRow {
  id: number
  videoId: string
  phrase: string
  region: string | null
  language: string
  kind: 'site' | 'web'
  /** Days from one look to the next. */
  every: number
  /** `yyyy-mm-dd` of the last look; `null` for none. */
  last: string | null
}
export interface WatchesAnswer {
  watches: WatchRow[]
  /** How many there are in the workspace, of which videos, and what all of them cost. */
  total: number
  videos: string[]
  cost: WatchCost
}
export const watchesQuery = z.object({
  workspace: workspaceInput,
  videoId: videoId.optional(),
  /** Of all videos; those of one come at once. */
  limit: z.coerce.number().int('Give a whole number.').min(0).max(2000, '2,000 come in one answer.').default(500),
  offset: z.coerce.number().int('Give a whole number.').min(0).default(0),
})
/** Ranks that one request can watch: a phrase in a region each. */
export const MOST_AT_ONCE = 2000
export const newWatchesSchema = z
  .object({
    videoId,
    phrases: z.array(phraseInput).min(1, 'Name a phrase.').max(200, '200 phrases can be watched in one request.'),
    regions: z.array(regionInput).min(1, 'Name a region, or null for everywhere.').max(40).default([null]),
    language: languageInput.default('en'),
    kind: kind.default('site'),
    every: z
      .number('Give a number of days.')
      .int('Give whole days.')
      .min(1, 'A page is looked up once a day at most.')
      .max(MOST_WATCH_DAYS, `Give ${MOST_WATCH_DAYS} days at most.`)
      .default(1),
    workspace: workspaceInput,
  })
  .refine(({ phrases, regions }) => phrases.length * regions.length <= MOST_AT_ONCE, {
    path: ['phrases'],
    message: `Phrases times regions can be ${inDigits(MOST_AT_ONCE)} in one request. Send them in parts.`,
  })
export const dropWatchesQuery = z.object({
  workspace: workspaceInput,
  ids: z
    .string()
    .regex(/^\d{1,15}(?:,\d{1,15}){0,999}$/u, 'Name watches by their ids, with commas between, 1,000 at most.')
    .transform(list => list.split(',').map(Number)),
})

/** Something that was done to a video, or for it. */
export interface RankMark {
  /** UTC milliseconds. */
  at: number
  kind: 'released' | 'changed' | 'told'
  /** What it was, in words. */
  text: string
}
/** What may lie behind a curve: what was done, and who came in above. */
export interface RankSurroundings {
  /** Oldest first. */
  marks: RankMark[]
  /** Videos that came onto the page of the phrase above mine, oldest first. */
  arrivals: { at: number; since: number; videoId: string; title: string; rank: number }[]
  /** Who stands there now that is not mine, from the top; any of them can be chosen as the one to pass. */
  rivals: { videoId: string; title: string; channel: string; rank: number }[]
  /** Where the rival that was asked for stood, oldest first, from ranks and kept pages; `null` without one. */
  rival: { videoId: string; title: string; days: RankDay[] } | null
}
export const surroundingsQuery = z.object({
  videoId,
  /** A video to be passed. */
  rival: videoId.optional(),
  /** Without one, nothing of a page is told. */
  phrase: z.string().max(200).optional(),
  region: regionInput,
  language: languageInput.default('en'),
  kind: kind.default('site'),
  workspace: workspaceInput,
})

import { z } from 'zod'
import type { BeforeAfter } from '../core/ranks/beforeAfter'
import type { Compared } from '../core/ranks/sides'
import type { FirstWeeks } from '../core/ranks/firstWeeks'
import type { ViewSource } from '../core/formats/dayColumns'
import type { PlannedChange } from './plannedChanges'
import { ofWorkspace } from './api/inputs'

export const retentionSchema = ofWorkspace.extend({
  /** The part of viewers still there at the start, after each tenth, and at the end; above 1 where watched again. */
  retention: z.array(z.number().min(0).max(10)).length(11, 'Give eleven values: one for each tenth, and the start.'),
  /** Who told it, such as a file's name. */
  source: z.string().trim().min(1, 'Say who told it.').max(120),
})

/** Figures of a video on a day; `null` is what nobody told. */
export interface ViewsDay extends Record<ViewSource, number | null> {
  /** `yyyy-mm-dd`, UTC. */
  day: string
  impressions: number | null
  clicks: number | null
  views: number | null
  watchedSeconds: number | null
}
/** A change of a video, and what was different afterwards. */
export interface ComparedChange {
  /** UTC milliseconds. */
  at: number
  /** What was changed, in words. */
  fields: string[]
  results: (BeforeAfter & { what: Compared })[]
}
/** How a video was watched, day by day. */
export interface ViewsAnswer {
  /** Oldest first, 400 at most; days of which nothing is known are not among them. */
  days: ViewsDay[]
  /** Views that came from other sites, newest first, 5,000 lines at most. */
  referrers: { day: string; name: string; views: number }[]
  /** The part of viewers still there at the start, after each tenth, and at the end. */
  retention: number[] | null
  /** How long the video is; `null` where that is not known. */
  seconds: number | null
  /** UTC milliseconds. */
  releasedAt: number | null
  /** Who told last, and when; `null` where nobody did. */
  source: string | null
  at: number | null
  /** `null` where it is not known when the video came out. */
  firstWeeks: FirstWeeks | null
  /** The brief that the video was made from; `null` where none is known. */
  brief: string | null
  /** Newest first. */
  changes: ComparedChange[]
  /** The latest day first. */
  planned: PlannedChange[]
  /** Why the figures are not newer. */
  problem: string | null
}

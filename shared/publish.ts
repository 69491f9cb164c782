import { z } from 'zod'
import type { DraftProblem } from '../core/release/videoDraft'
import type { JobState } from './jobs'

/** A brief on its way to a site, or out. */
export interface Publication {
  id: string
  briefId: string
  channel: string
  file: string
  bytes: number
  /** Bytes that the site has. */
  sent: number
  seconds: number
  state: 'sending' | 'out' | 'refused' | 'given-up'
  /** The site's id of the video, once it is out. */
  video: string | null
  /** From when on it can be seen, UTC milliseconds. */
  visibleFrom: number | null
  /** What the site refused, by field. */
  problems: DraftProblem[]
  source: string | null
  createdAt: number
  updatedAt: number
}

export interface PublishAnswer {
  /** The newest one of the brief; `null` before the first. */
  publication: Publication | null
  /** The job that works on it; `null` where none does. */
  job: JobState | null
  /** What keeps the brief from being sent. */
  problems: DraftProblem[]
  /** The channel it would go to; `null` where none is chosen. */
  channel: { id: string; title: string; authorised: boolean | null } | null
}

/** Parts of a draft that are changed on a video that is there. */
export const APPLIED = ['title', 'description', 'tags', 'captions', 'thumbnail', 'cards', 'endScreen', 'sheet'] as const
export type Applied = (typeof APPLIED)[number]

/** One part beside what the site has. */
export interface ApplyRow {
  field: Applied
  /** As the site has it; `null` where it does not tell. */
  there: string | null
  draft: string
  differs: boolean
}
export interface ApplyAnswer {
  videoId: string
  title: string
  channel: { id: string; title: string }
  rows: ApplyRow[]
  /** What of the draft cannot be sent yet. */
  problems: DraftProblem[]
  source: string
  at: number
}
export const applyBodySchema = z.object({
  videoId: z.string().min(1, 'Choose a video.').max(200),
  /** The parts to change; none asks only how they stand. */
  fields: z.array(z.enum(APPLIED)).max(APPLIED.length).default([]),
  /** What stood there when the parts were chosen: what changed since is not written over. */
  seen: z.partialRecord(z.enum(APPLIED), z.string().max(2_000_000).nullable()).default({}),
})

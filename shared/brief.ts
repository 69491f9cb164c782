import { z } from 'zod'
import { briefFieldsSchema, type BriefField, type BriefFields } from '../core/brief/brief'
import type { Stage } from '../core/release/stage'
import type { BriefFile, ReturnedChange, ReturnedLocalised } from '../core/brief/briefFile'

/** A brief as the API returns it: each field with its revision. */
export interface Brief {
  id: string
  workspaceId: string
  /** Briefs of one topic for many places have the same. */
  seriesId: string | null
  seriesPlace: string | null
  createdAt: number
  updatedAt: number
  deletedAt: number | null
  fields: BriefFields
  revisions: Record<BriefField, number>
}

/** A line of the list of briefs. */
export interface BriefLine {
  id: string
  workspaceId: string
  seriesId: string | null
  seriesPlace: string | null
  topic: string
  title: string
  lead: string | null
  region: string | null
  support: number
  updatedAt: number
  /** Marked gaps in its description that are left to fill. */
  gaps: number
  /** Percent of its rule set, worked out when last saved. */
  percent: number | null
  ruleSet: string
  stage: Stage
  /** What the file of its video is to be called. */
  fileName: string
  /** The hour of its release, UTC milliseconds; `now` is as soon as it is ready. */
  releaseAt: BriefFields['releaseAt']
}

/** The texts of a brief that are scored beside those of others. */
export interface BriefTexts {
  id: string
  topic: string
  title: string
  description: string
  tags: string[]
  language: string
  lead: string
  support: string[]
  revisions: Record<'title' | 'description' | 'tags', number>
}

/** A change to some fields, each stated against the revision it was made from. */
export const briefPatchSchema = z.object({
  /** The window that edits: what two windows type is never folded into one entry of the history. */
  client: z.string().max(60).optional(),
  editId: z.uuid('An edit needs its own id (a UUID), so that a repeat can be recognised.'),
  fields: z.record(z.string(), z.object({ revision: z.number().int().min(0), value: z.unknown() })),
})

export interface PatchAnswer {
  savedAt: number
  revisions: Partial<Record<BriefField, number>>
}
export interface FieldConflict {
  revision: number
  theirs: unknown
  yours: unknown
  savedAt: number
}

export const newBriefSchema = z.object({
  id: z.uuid().optional(),
  fields: briefFieldsSchema.partial().optional(),
  copyOf: z.uuid().optional(),
  workspace: z.string().max(60).optional(),
})

/** One brief made anew for many places. */
export const newSeriesSchema = z.object({
  pattern: z.uuid('Choose the brief to copy.'),
  places: z
    .array(z.string().trim().min(1).max(100))
    .min(1, 'Choose at least one place.')
    .max(300, 'A series can have 300 places at most.'),
  template: z.string().max(100).default('{phrase} {place}'),
  /** For places, phrases that join the tray of their briefs, the best first; it leads where the pattern has no lead. */
  phrases: z.record(z.string().max(100), z.array(z.string().trim().min(1).max(200)).max(200)).default({}),
})

/** A brief's file that came back, and what it would change here. */
export interface ReturnedBrief {
  file: BriefFile
  /** The brief it is of, as it is here; `null` where there is none. */
  brief: Brief | null
  changes: ReturnedChange[]
  localised: ReturnedLocalised[]
}

export interface HistoryEntry {
  id: number
  field: BriefField
  value: unknown
  /** The name on the key it was written with; `null` for who sat at the machine. */ writer: string | null
  begunAt: number
  savedAt: number
}

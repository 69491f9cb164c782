import { z } from 'zod'
import { EDITED, type Edited, type EditedValue, type ManyEdit, type Misfit } from '../core/draft/manyEdit'
import { workspaceInput } from './api/inputs'
import type { JobState } from './jobs'

/** Videos that one change is made in, in one go. */
export const MOST_EDITED = 1000
const text = z.string().max(60_000, 'A text has 60,000 characters at most.')
const inText = { field: z.enum(['title', 'description']) }
const tags = z.array(z.string().trim().min(1, 'A tag has a character at least.').max(500)).max(200)

export const manyEditSchema: z.ZodType<ManyEdit> = z.union(
  [
    z
      .object({
        ...inText,
        find: text.min(1, 'Give the words that are to be replaced.'),
        put: text,
        every: z.boolean().optional(),
      })
      .strict(),
    z.object({ ...inText, at: z.enum(['start', 'end']), put: text.min(1, 'Give the text that is added.') }).strict(),
    z
      .object({
        field: z.literal('tags'),
        remove: tags.default([]),
        add: tags.default([]),
        at: z.enum(['start', 'end']).optional(),
      })
      .strict(),
  ],
  `Give a field (${EDITED.join(', ')}) and find with put, at with put, or remove and add.`,
)

export const editManySchema = z.object({
  workspace: workspaceInput,
  edit: manyEditSchema,
  /** All of the channel where they are absent. */
  videoIds: z.array(z.string().min(1).max(200)).max(20_000).optional(),
  profile: z.string().max(60).default('video-site'),
  /** Whether it is only shown what would change. */
  dryRun: z.boolean(),
  /** By the ids of videos: what `seen` said of them. What changed since is left as it is. */
  seen: z.record(z.string().max(200), z.string().max(64)).optional(),
})

/** A video in which a change fits. */
export interface FittingVideo {
  videoId: string
  title: string
  before: EditedValue
  after: EditedValue
  /** Names the text it was seen with. */
  seen: string
}
/** What a change would do, and in how many videos it cannot be made. */
export interface ManyFits {
  fits: FittingVideo[]
  /** Those that fit beyond the `MOST_EDITED` told. */
  more: number
  misfits: Record<Misfit, number>
}

export const PART_STATES = ['waiting', 'changed', 'kept', 'undone'] as const
export type PartState = (typeof PART_STATES)[number]
/** One change for all, or a wave of a trial: the check that each video meets by a change of its own. */
export type RunEdit = ManyEdit | { field: Edited; trial: string }

/** A change that was made in many videos. */
export interface EditRun {
  id: string
  /** UTC milliseconds. */
  at: number
  edit: RunEdit
  /** When it was taken back; `null` where it was not. */
  undoneAt: number | null
  /** Videos by what became of them. */
  counts: Record<PartState, number>
  /** Those that were not changed, or not taken back, with the reason; 100 at most. */
  kept: { videoId: string; title: string; problem: string }[]
  /** The job that works on it; `null` where none does. */
  job: JobState | null
}
export type EditManyAnswer = (ManyFits & { run: null }) | { run: EditRun }

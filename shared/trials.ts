import { z } from 'zod'
import { EDITED, type Edited } from '../core/draft/manyEdit'
import { COMPARED, type Compared } from '../core/ranks/sides'
import { TRIAL_WAVES, TRIAL_WEEKS, type TrialOutcome } from '../core/ranks/trial'
import { inDigits } from '../core/text/inWords'
import { regionInput } from '../core/text/inputs'
import { workspaceInput } from './api/inputs'
import { MOST_EDITED, type FittingVideo } from './editMany'
import type { JobState } from './jobs'

const field = z.enum(EDITED, `A field is one of ${EDITED.join(', ')}.`)
const outcome = z.enum(COMPARED, `What is compared is one of ${COMPARED.join(', ')}.`)
const within = ({ least, most }: { least: number; most: number }, what: string) =>
  z.coerce
    .number(`Give a number of ${what}.`)
    .int('Give a whole number.')
    .min(least, `Give ${least} or more.`)
    .max(most, `Give ${most} at most.`)
const weeks = within(TRIAL_WEEKS, 'weeks').default(4)

const asked = {
  workspace: workspaceInput,
  region: regionInput,
  ruleSet: z.string().max(60).default('balanced'),
  profile: z.string().max(60).default('video-site'),
  outcome: outcome.default('views'),
  weeks,
}
export const trialQuestionsQuery = z.object({
  ...asked,
  /** With both, the videos that could take part in this one are told. */
  check: z.string().max(60).optional(),
  field: field.optional(),
})
export const newTrialSchema = z.object({
  ...asked,
  check: z.string().min(1, 'Name a check.').max(60),
  field,
  waves: within(TRIAL_WAVES, 'waves').default(3),
  /** The videos that may take part, by their ids, with what `seen` said of each: its change was looked at. */
  seen: z
    .record(z.string().max(200), z.string().max(64))
    .refine(
      videos => Object.keys(videos).length <= MOST_EDITED,
      `${inDigits(MOST_EDITED)} videos can take part at most.`,
    ),
})

/** Something that can be tried: a check that videos do not meet, and a ready-made change by which they would. */
export interface TrialQuestion {
  check: string
  field: Edited
  /** Videos that could take part. */
  videos: number
  pairs: number
  /** The difference that it would show four times in five, as times as much; `null` for too few pairs. */
  visible: number | null
}
export interface TrialQuestionsAnswer {
  /** Most videos first. */
  questions: TrialQuestion[]
  /** Of the question that was asked for; empty without one. */
  fits: FittingVideo[]
  /** Videos of the channel, and those of them that are old enough, known well enough and in no other trial. */
  videos: number
  ready: number
}

/** How a trial stands. */
export interface Trial {
  id: string
  /** UTC milliseconds. */
  at: number
  check: string
  ruleSet: string
  field: Edited
  outcome: Compared
  weeks: number
  /** When each wave is due or was begun, with the videos that are changed by it. */
  waves: {
    dueAt: number
    begunAt: number | null
    videos: { videoId: string; title: string; beside: string }[]
    /** What became of its videos; `null` before, and when it is not remembered any more. */
    run: { changed: number; waiting: number; kept: number; undone: number; job: JobState | null } | null
  }[]
  pairs: number
  /** Pairs that tell nothing, since one of the two was changed otherwise meanwhile. */
  disturbed: number
  /** When it can be answered, UTC milliseconds; `null` while waves are to come. */
  answerAt: number | null
  stoppedAt: number | null
  /** `null` before its time: looking at it day by day would find something by chance. */
  answer: TrialOutcome | null
}

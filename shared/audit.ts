import { v5 as uuidOf } from 'uuid'
import { z } from 'zod'
import type { Mend } from '../core/draft/mends'
import type { RankDay } from '../core/ranks/standing'
import type { Reworded } from '../core/ranks/reworded'
import { regionInput } from '../core/text/inputs'
import { workspaceInput } from './api/inputs'

/** What tells for which phrase a video is meant: its brief, a watch, a tag in its title, or a known phrase there. */
export type LeadFrom = 'brief' | 'watch' | 'tag' | 'title'

/** By views that better words bring, searches left unworked, points, or release; worth most first. */
export const AUDIT_SORTS = ['views', 'stake', 'percent', 'newest'] as const
export const auditQuery = z.object({
  workspace: workspaceInput,
  region: regionInput,
  ruleSet: z.string().max(60).default('balanced'),
  profile: z.string().max(60).default('video-site'),
  sort: z.enum(AUDIT_SORTS, `Sort by ${AUDIT_SORTS.join(', ')}.`).default('views'),
})

const BRIEFS_OF_VIDEOS = 'f4ac5b0e-5a3c-4c58-9d1e-6f2b8f0f6a11'
/** The id of the brief that is made of a video to mend it: asked for twice, it is the same one. */
export const briefIdOf = (workspace: string, video: string) => uuidOf(`${workspace} ${video}`, BRIEFS_OF_VIDEOS)

/** A ready-made change of a video's texts. */
export interface AuditEdit extends Mend {
  /** What stands there now. */
  before: string | string[] | null
  /** Views a month that it brings by itself; `null` where that is not known. */
  views: Reworded | null
}

/** A video of the channel, with what its texts lack. */
export interface AuditRow {
  videoId: string
  title: string
  publishedAt: number | null
  views: number | null
  /** The brief that it came of. */
  brief: string | null
  /** '' where nothing tells it. */
  lead: string
  leadFrom: LeadFrom | null
  /** Of the lead, a month; `null` where they are not known. */
  searches: number | null
  /** Where it stands for its lead, by the last look; `null` where nobody looked. */
  rank: RankDay | null
  /** When the result page of its lead was seen; `null` where none is kept. */
  pageAt: number | null
  /**
   * Views a month that full wording, or the edit where that is more, would bring; `null` where searches, page or
   * channel are not known.
   */
  words: Reworded | null
  /** Of its texts alone; `null` without a lead. */
  percent: number | null
  /** The check that lacks most points. */
  lacks: { check: string; points: number } | null
  /** Of the ready-made changes the one that brings most; `null` where none helps. */
  edit: AuditEdit | null
  /** Put off by a person. */
  off: boolean
}
/** How far it is, then how many rows follow, then the rows. */
export type AuditLine = { weighed: number; of: number } | { rows: number } | AuditRow

import type { BestHour } from '../core/release/audience'
import type { Checklist } from '../core/release/checklist'
import type { Proposed } from '../core/release/proposed'
import type { ReleasePoint } from '../core/release/readiness'
import type { ChannelRight } from '../core/release/rights'
import type { UsualAnswers } from '../core/release/usual'

/** A channel that an account may act for, as its site told last. */
export interface AccountChannel {
  id: string
  title: string
  authorised: boolean
  rights: ChannelRight[]
  limits: { uploadsLeft: number; bytes: number; seconds: number }
  source: string
  /** UTC milliseconds. */
  at: number
}

/** What the account may do for a channel. */
export interface AccountLook {
  /** `null` where the site does not tell of the channel, or was never asked. */
  channel: AccountChannel | null
  /** Whether the site told of its channels at all. */
  told: boolean
  problem: string | null
}

/** How far a brief is from its release, and what that was worked out from. */
export interface ReadinessAnswer {
  points: ReleasePoint[]
  /** How many of them are open or not answered. */
  left: number
  /** Titles of the playlists it stands in. */
  playlists: string[]
  /** Whether it was published from here. */
  published: boolean
  /** The pictures kept for it here, by their SHA-256. */
  pictures: string[]
  account: {
    /** Whether the channel has agreed that this account acts for it; `null` where nobody told. */
    authorised: boolean | null
    /** `null` where nobody told. */
    rights: ChannelRight[] | null
    /** When that was told, UTC milliseconds. */
    at: number | null
    problem: string | null
  }
  usual: UsualAnswers
  /** The category of most videos on the page of its lead; `null` where that is not known. */
  proposedCategory: Proposed | null
  checklist: Checklist
  timeZone: string
}

/** When a workspace's viewers are there. */
export interface AudienceAnswer {
  /** 168 values of the source's own unit by the clock of `timeZone`, Monday 0:00 first; `null` where nobody told. */
  hours: number[] | null
  /** Hours to release at, best first; none where the week is even or not known. */
  best: BestHour[]
  timeZone: string
  source: string | null
  /** UTC milliseconds. */
  at: number | null
  /** Whether it is a table that a person read in. */
  readIn: boolean
  problem: string | null
}

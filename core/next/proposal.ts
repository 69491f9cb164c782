import type { FunnelStep } from '../ranks/firstWeeks'
import type { Fallen } from '../ranks/fallen'
import type { Reworded } from '../ranks/reworded'

/** What is worth doing, by kind: what it is about, and the figures it rests on. */
export type ProposalFacts =
  /** A release is near, or its hour is over, and points are open. */
  | { kind: 'release'; left: number; overdue: boolean }
  /** All texts were handed over, and nobody said where the video is. */
  | { kind: 'address'; phrases: number }
  /** A rank fell and stayed down; `views` are those lost a month, at least so many where it left the results read. */
  | { kind: 'fell'; fall: Fallen }
  /** A step of a video's first weeks lies clearly below what is usual for the channel. */
  | { kind: 'first'; step: FunnelStep; ratio: number; low: number; high: number; days: number }
  /** Better words would bring a video views. */
  | { kind: 'mend'; words: Reworded }
  /** A lead is settled, the texts are not written. `chance` is that of page one. */
  | { kind: 'write'; chance: number; since: number }
  /** A phrase is within reach, and no video of mine stands there; `also` phrases come along with it. */
  | { kind: 'film'; chance: number; also: number }
  /** A video is out, and nobody looks up where it stands. */
  | { kind: 'watch'; phrases: number }
  /** A wave of a trial is due, or (`wave` is `null`) its answer has come; `videos` are those of the wave, or of all. */
  | { kind: 'trial'; trial: string; wave: number | null; waves: number; videos: number }
  /** A change planned for this day is not made, or (`over`) its weeks are over and it is judged. */
  | { kind: 'planned'; field: 'title' | 'description' | 'tags' | 'thumbnail'; note: string; over: boolean }

/** Something worth doing today. */
export type Proposal = ProposalFacts & {
  /** What it is put off by: kind and what it is about. */
  key: string
  /** Of the video or the brief. */
  title: string
  /** '' where it is about no phrase. */
  phrase: string
  /** `null` for everywhere. */
  region: string | null
  brief: string | null
  video: string | null
  /** When it has to be done, UTC milliseconds; `null` where no hour is set. */
  due: number | null
  /** Views a month that are at stake; `null` where that is not known, or none are. */
  views: number | null
}

/** What most proposals leave open. */
export const aboutNothing = {
  title: '',
  phrase: '',
  region: null,
  brief: null,
  video: null,
  due: null,
  views: null,
} as const

/** A day holds so many, and so many of a kind: enough to choose from, few enough to do. */
const MOST = 6
const MOST_OF_KIND = 2
/** Fewer views a month are not worth a person's time. */
const LEAST_VIEWS = 1

/**
 * The handful of proposals to be made: what has a date by that, then what is worth most views a month, then the rest
 * in the order in which it came. Where little is at stake nothing is proposed.
 */
export function handful<Row extends Pick<Proposal, 'kind' | 'due' | 'views'>>(proposals: readonly Row[]): Row[] {
  const due = (each: Row) => each.due ?? Number.MAX_SAFE_INTEGER
  const order = [...proposals].sort((a, b) => due(a) - due(b) || (b.views ?? -1) - (a.views ?? -1))
  const ofKind = new Map<Row['kind'], number>()
  const chosen: Row[] = []
  for (const each of order) {
    const had = ofKind.get(each.kind) ?? 0
    if (had >= MOST_OF_KIND || (each.due === null && each.views !== null && each.views < LEAST_VIEWS)) continue
    ofKind.set(each.kind, had + 1)
    if (chosen.push(each) === MOST) break
  }
  return chosen
}

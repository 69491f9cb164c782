import type { Recalibration } from '../core/chance/recalibrated'
import type { Reach } from '../core/ranks/reach'
import type { Reliability } from '../core/ranks/reliability'

/** A forecast, and what came of it. */
export interface CameRow {
  phrase: string
  region: string | null
  videoId: string
  title: string
  /** When it was told, UTC milliseconds. */
  at: number
  chance: number
  /** Rank four weeks after the release; `null` beyond what was read. */
  rank: number | null
  came: boolean
}
/** How often forecasts came true. */
export interface ReliabilityAnswer extends Reliability {
  /** Videos of which it is known what came, and how many it takes before chances are corrected by them. */
  videos: number
  needed: number
  /** Forecasts told for what is not out yet. */
  waiting: number
  /** How chances by fixed weights and learnt ones are corrected now, and by how many videos. */
  corrected: Record<'fixed' | 'learnt', { videos: number; by: Recalibration | null }>
  /** Views to win in ninety days: how many of the ranges held what came. */
  views: { n: number; held: number; below: number; above: number }
  /** The newest first, 300 at most. */
  rows: CameRow[]
}
/** The difficulty a channel wins half the time; `null` while too few videos are known. */
export interface ReachAnswer {
  reach: Reach | null
  videos: number
  phrases: number
  /** Of the phrases, those that reached page one. */
  won: number
  /** As it stood, oldest first. */
  grew: (Reach & { at: number })[]
}

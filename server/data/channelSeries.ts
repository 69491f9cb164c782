import type { RankDay } from '../../core/ranks/standing'
import type { Db } from './open'
import type { PageKind } from './results'

/** A video of a channel that was looked up for a phrase. */
export interface ChannelSeries {
  id: number
  video: string
  title: string
  phrase: string
  /** Searches a month in the region; `null` where they are not known. */
  searches: number | null
  bestRank: number | null
  bestDay: number | null
}
/** What one answer holds. */
export const MOST_SERIES = 10_000

export type ChannelSeriesStore = ReturnType<typeof channelSeriesStore>

/** The ranks of all videos of a channel, as few days of each as its standing takes. */
export function channelSeriesStore(db: Db) {
  const of = db.prepare<{ channel: string; region: string; kind: PageKind; most: number }, ChannelSeries>(
    `SELECT s.id, s.video, v.title, p.text AS phrase, f.volume AS searches, s.best_rank AS bestRank, s.best_day AS bestDay
      FROM video v JOIN rank_series s ON s.video = v.code JOIN phrase p ON p.id = s.phrase_id
        LEFT JOIN figure f ON f.phrase_id = p.id AND f.region = s.region AND f.counts = 1
      WHERE v.channel_id = @channel AND s.region = @region AND s.kind = @kind
      ORDER BY v.published_at DESC, p.text LIMIT @most`,
  )
  const lastBy = db.prepare<[number, number], RankDay>(
    'SELECT day, rank, depth FROM rank_day WHERE series_id = ? AND day <= ? ORDER BY day DESC LIMIT 1',
  )
  return {
    /** Those of the newest videos first, `MOST_SERIES` at most. */
    of: (channel: string, region: string, kind: PageKind): ChannelSeries[] =>
      of.all({ channel, region, kind, most: MOST_SERIES + 1 }),
    /** The last look of a series on a day or before it. */
    lastBy: (series: number, day: number): RankDay | null => lastBy.get(series, day) ?? null,
  }
}

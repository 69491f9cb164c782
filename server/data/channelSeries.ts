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
}
/** What one answer holds. */
export const MOST_SERIES = 10_000

export type ChannelSeriesStore = ReturnType<typeof channelSeriesStore>

/** The ranks of all videos of a channel, as few days of each as its standing takes. */
export function channelSeriesStore(db: Db) {
  const of = db.prepare<{ channel: string; region: string; kind: PageKind; most: number }, ChannelSeries>(
    `SELECT s.id, s.video, v.title, p.text AS phrase, f.volume AS searches
      FROM video v JOIN rank_series s ON s.video = v.code JOIN phrase p ON p.id = s.phrase_id
        LEFT JOIN figure f ON f.phrase_id = p.id AND f.region = s.region AND f.counts = 1
      WHERE v.channel_id = @channel AND s.region = @region AND s.kind = @kind
      ORDER BY v.published_at DESC, p.text LIMIT @most`,
  )
  // In one question for many: a question each takes three times as long.
  const tellingDays = db
    .prepare<{ ids: string }, (number | null)[]>(
      `SELECT k.value, l.day, l.rank, l.depth, w.day, w.rank, w.depth, m.day, m.rank, m.depth, b.day, b.rank, b.depth
        FROM json_each(@ids) k JOIN rank_series s ON s.id = k.value
          JOIN rank_day l ON l.series_id = s.id AND l.day = (SELECT max(day) FROM rank_day WHERE series_id = s.id)
          LEFT JOIN rank_day w ON w.series_id = s.id
            AND w.day = (SELECT max(day) FROM rank_day WHERE series_id = s.id AND day <= l.day - 7)
          LEFT JOIN rank_day m ON m.series_id = s.id
            AND m.day = (SELECT max(day) FROM rank_day WHERE series_id = s.id AND day <= l.day - 28)
          LEFT JOIN rank_day b ON b.series_id = s.id AND b.day = s.best_day`,
    )
    .raw()
  return {
    /** Those of the newest videos first, `MOST_SERIES` at most. */
    of: (channel: string, region: string, kind: PageKind): ChannelSeries[] =>
      of.all({ channel, region, kind, most: MOST_SERIES + 1 }),
    /** The days that standings are told from, oldest first: the last, those a week and four weeks before, the best. */
    tellingDays(ids: readonly number[]): Map<number, RankDay[]> {
      return new Map(
        tellingDays.all({ ids: JSON.stringify(ids) }).map(([id, ...parts]) => {
          const days = new Map<number, RankDay>()
          for (let at = 0; at < parts.length; at += 3) {
            const [day, rank, depth] = parts.slice(at, at + 3)
            if (day != null) days.set(day, { day, rank: rank!, depth: depth! })
          }
          return [id!, [...days.values()].sort((a, b) => a.day - b.day)]
        }),
      )
    },
  }
}

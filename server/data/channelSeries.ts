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
/** A day as the question tells it: 24 bits for rank and depth, the day above them. */
const dayOf = (told: number): RankDay => ({
  day: Math.floor(told / 2 ** 24),
  rank: Math.floor(told / 2 ** 12) % 2 ** 12 || null,
  depth: told % 2 ** 12,
})
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
  // In one question for many, a day in one number: a question or a join each takes several times as long.
  const telling = (which: string) =>
    `(SELECT (day << 24) | (coalesce(rank, 0) << 12) | depth FROM rank_day WHERE series_id = id AND ${which}
      ORDER BY day DESC LIMIT 1)`
  const tellingDays = db
    .prepare<{ ids: string }, (number | null)[]>(
      `WITH last AS MATERIALIZED (SELECT s.id, s.best_day, (SELECT (day << 24) | (coalesce(rank, 0) << 12) | depth
            FROM rank_day WHERE series_id = s.id ORDER BY day DESC LIMIT 1) AS told
          FROM json_each(@ids) k JOIN rank_series s ON s.id = k.value)
        SELECT id, told, ${telling('day <= (told >> 24) - 7')}, ${telling('day <= (told >> 24) - 28')},
          ${telling('day = best_day')} FROM last WHERE told IS NOT NULL`,
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
          for (const part of parts) if (part !== null) days.set(dayOf(part).day, dayOf(part))
          return [id!, [...days.values()].sort((a, b) => a.day - b.day)]
        }),
      )
    },
  }
}

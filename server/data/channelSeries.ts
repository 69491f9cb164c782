import { TOLERANCE, type RankDay } from '../../core/ranks/standing'
import type { Db } from './open'
import type { PageKind } from './results'

/** A video of a channel that was looked up for a phrase. */
export interface ChannelSeries {
  video: string
  title: string
  phrase: string
  /** Searches a month in the region; `null` where they are not known. */
  searches: number | null
  /** The days its standing is told from, oldest first: the last, those a week and four weeks before, the best. */
  days: RankDay[]
}

/** A day with its rank and depth as one number: 24 bits for rank and depth, the day above them. */
const TOLD = '(day << 24) | (coalesce(rank, 0) << 12) | depth'
const dayOf = (told: number): RankDay => ({
  day: Math.floor(told / 2 ** 24),
  rank: Math.floor(told / 2 ** 12) % 2 ** 12 || null,
  depth: told % 2 ** 12,
})
/** What one answer holds. */
export const MOST_SERIES = 10_000

/** Tells a series anew how it stands, when a day of it was kept. */
export function standAgain(db: Db): (series: number) => void {
  const day = (which: string, by = 'day DESC') =>
    `(SELECT ${TOLD} FROM rank_day WHERE series_id = @id AND ${which} ORDER BY ${by} LIMIT 1)`
  const about = (ago: keyof typeof TOLERANCE) =>
    day(`day BETWEEN (told_last >> 24) - ${ago + TOLERANCE[ago]} AND (told_last >> 24) - ${ago}`)
  const last = db.prepare(
    `UPDATE rank_series SET told_last = ${day('true')}, told_best = ${day('rank IS NOT NULL', 'rank, day')}
      WHERE id = @id`,
  )
  const before = db.prepare(`UPDATE rank_series SET told_week = ${about(7)}, told_month = ${about(28)} WHERE id = @id`)
  return id => {
    last.run({ id })
    before.run({ id })
  }
}

export type ChannelSeriesStore = ReturnType<typeof channelSeriesStore>

type SeriesRow = [
  video: string,
  title: string,
  phrase: string,
  searches: number | null,
  last: number,
  week: number | null,
  month: number | null,
  best: number | null,
]

/** Days in their order, each once. @param best lies anywhere among the others. */
function daysOf(last: number, week: number | null, month: number | null, best: number | null): RankDay[] {
  const told: number[] = []
  if (month !== null) told.push(month)
  if (week !== null) told.push(week)
  told.push(last)
  if (best !== null && !told.includes(best)) {
    const later = told.findIndex(each => each > best)
    told.splice(later, 0, best)
  }
  return told.map(dayOf)
}

/** The ranks of all videos of a channel, as few days of each as its standing takes. */
export function channelSeriesStore(db: Db) {
  // Ten thousand rows: as arrays they are read and made ready in half of the time.
  const of = db
    .prepare<{ channel: string; region: string; kind: PageKind; most: number }, SeriesRow>(
      `SELECT s.video, v.title, p.text, f.volume, told_last, told_week, told_month, told_best
        FROM video v JOIN rank_series s ON s.video = v.code JOIN phrase p ON p.id = s.phrase_id
          LEFT JOIN figure f ON f.phrase_id = p.id AND f.region = s.region AND f.counts = 1
        WHERE v.channel_id = @channel AND s.region = @region AND s.kind = @kind AND told_last IS NOT NULL
        ORDER BY v.published_at DESC, p.text LIMIT @most`,
    )
    .raw()
  return {
    /** Those of the newest videos first, `MOST_SERIES` at most, and one more where there are more. */
    of: (channel: string, region: string, kind: PageKind): ChannelSeries[] =>
      of
        .all({ channel, region, kind, most: MOST_SERIES + 1 })
        .map(([video, title, phrase, searches, last, week, month, best]) => ({
          video,
          title,
          phrase,
          searches,
          days: daysOf(last, week, month, best),
        })),
  }
}

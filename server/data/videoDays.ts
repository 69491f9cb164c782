import type { ReferredDay, SourcedDay } from '../../core/ranks/span'
import { relaxedTransaction, type Db } from './open'

export interface ToldDay extends SourcedDay {
  video: string
}
export interface Referrer extends ReferredDay {
  video: string
}
/** Views from other sites that one answer holds: the newest. */
const MOST_REFERRED = 5000
/** Who told of a video last. */
export interface VideoTold {
  source: string
  /** UTC milliseconds; of the site alone `askedAt`, `null` where it never told. */
  at: number
  askedAt: number | null
  retention: number[] | null
}

export type VideoDayStore = ReturnType<typeof videoDayStore>

const COLUMNS =
  'day, impressions, clicks, views, watched AS watchedSeconds, search, suggested, subscribers, web, elsewhere'

/** Figures of one's own videos by day. What is told later replaces what was told before, figure by figure. */
export function videoDayStore(db: Db) {
  const has = db.prepare<[string, number], 1>('SELECT 1 FROM video_day WHERE video = ? AND day = ?').pluck()
  const put = db.prepare(
    `INSERT INTO video_day (video, day, impressions, clicks, views, watched, search, suggested, subscribers, web, elsewhere)
      VALUES (@video, @day, @impressions, @clicks, @views, @watchedSeconds, @search, @suggested, @subscribers, @web, @elsewhere)
      ON CONFLICT (video, day) DO UPDATE SET impressions = coalesce(excluded.impressions, impressions),
        clicks = coalesce(excluded.clicks, clicks), views = coalesce(excluded.views, views),
        watched = coalesce(excluded.watched, watched), search = coalesce(excluded.search, search),
        suggested = coalesce(excluded.suggested, suggested), subscribers = coalesce(excluded.subscribers, subscribers),
        web = coalesce(excluded.web, web), elsewhere = coalesce(excluded.elsewhere, elsewhere)`,
  )
  const putReferrer = db.prepare('INSERT OR REPLACE INTO video_referrer (video, day, name, views) VALUES (?, ?, ?, ?)')
  const tell = db.prepare(
    `INSERT INTO video_told (video, source, at, asked_at, retention) VALUES (?, ?, ?, ?, ?)
      ON CONFLICT (video) DO UPDATE SET source = excluded.source, at = excluded.at,
        asked_at = coalesce(excluded.asked_at, asked_at), retention = coalesce(excluded.retention, retention)`,
  )
  const of = db.prepare<[string, number, number], SourcedDay>(
    `SELECT ${COLUMNS} FROM video_day WHERE video = ? AND day >= ? AND day < ? ORDER BY day`,
  )
  const last = db.prepare<[string], number | null>('SELECT max(day) FROM video_day WHERE video = ?').pluck()
  const told = db.prepare<[string], { source: string; at: number; asked_at: number | null; retention: string | null }>(
    'SELECT source, at, asked_at, retention FROM video_told WHERE video = ?',
  )
  const referrers = db.prepare<[string, number], ReferredDay>(
    `SELECT day, name, views FROM video_referrer WHERE video = ? AND day >= ? ORDER BY day DESC, name LIMIT ${MOST_REFERRED}`,
  )
  const save = relaxedTransaction(
    db,
    (days: readonly ToldDay[], named: readonly Referrer[], by: { source: string; at: number }) => {
      let updated = 0
      const videos = new Set<string>()
      for (const day of days) {
        if (has.get(day.video, day.day)) updated++
        put.run(day)
        videos.add(day.video)
      }
      for (const { video, day, name, views } of named) {
        putReferrer.run(video, day, name, views)
        videos.add(video)
      }
      for (const video of videos) tell.run(video, by.source, by.at, null, null)
      return { accepted: days.length - updated, updated }
    },
  )
  const saveSite = relaxedTransaction(
    db,
    (video: string, days: readonly ToldDay[], { source, at, retention }: Omit<VideoTold, 'askedAt'>) => {
      for (const day of days) put.run(day)
      tell.run(video, source, at, at, retention && JSON.stringify(retention))
    },
  )
  return {
    /** Keeps what a table told. @returns how many days were not known before, and how many were. */
    save,
    /** Keeps what the site told of a video. */
    saveSite,
    /** Keeps how far a video is watched, as a person told it. @returns what was told of it before. */
    saveRetention: db.transaction((video: string, retention: readonly number[], by: { source: string; at: number }) => {
      const before = told.get(video)?.retention ?? null
      tell.run(video, by.source, by.at, null, JSON.stringify(retention))
      return before === null ? null : (JSON.parse(before) as number[])
    }).immediate,
    /** Days of a video, oldest first. @param from the first one. @param to not among them. */
    of: (video: string, from = 0, to = Number.MAX_SAFE_INTEGER): SourcedDay[] => of.all(video, from, to),
    /** The last day that is known; `null` for none. */
    last: (video: string): number | null => last.get(video) ?? null,
    /** Views from other sites since a day, newest first. */
    referrers: (video: string, from: number): ReferredDay[] => referrers.all(video, from),
    told(video: string): VideoTold | null {
      const row = told.get(video)
      return row
        ? {
            source: row.source,
            at: row.at,
            askedAt: row.asked_at,
            retention: row.retention === null ? null : (JSON.parse(row.retention) as number[]),
          }
        : null
    },
  }
}

import { watchCost, type WatchCost } from '../../core/ranks/watch'
import type { Db } from './open'
import type { RankPage, RankStore } from './ranks'
import type { PageKind } from './results'

/** A video that is looked up on a page again and again. */
export interface Watch {
  id: number
  video: string
  phrase: string
  /** '' for everywhere. */
  region: string
  language: string
  kind: PageKind
  /** Days from one look to the next. */
  every: number
  /** The day of the last look, in days since 1970; `null` for none. */
  last: number | null
}
/** A page on which somebody waits for a look. */
export interface DuePage {
  phrase: string
  region: string
  language: string
  kind: PageKind
  /** One of the videos watched there, and the workspace it is watched for. */
  video: string
  workspace: string
}
export interface ToWatch {
  video: string
  page: RankPage
}

/** A workspace watches at most so many, each a video on a page. */
export const MOST_WATCHES = 30_000

export type WatchStore = ReturnType<typeof watchStore>

/** Which videos are looked up again and again, where, and when the next look is due. */
export function watchStore(db: Db, ranks: RankStore, now: () => number = Date.now) {
  const put = db.prepare(
    `INSERT INTO watch (workspace_id, series_id, every, due, created_at)
      VALUES (@workspace, @series, @every,
        coalesce((SELECT max(day) FROM rank_day WHERE series_id = @series) + @every, 0), @at)
      ON CONFLICT (series_id, workspace_id) DO UPDATE SET every = excluded.every, due = excluded.due`,
  )
  const drop = db.prepare('DELETE FROM watch WHERE id = ? AND workspace_id = ?')
  const count = db.prepare<[string], number>('SELECT count(*) FROM watch WHERE workspace_id = ?').pluck()
  const WATCH = `SELECT w.id, s.video, p.text AS phrase, s.region, p.language, s.kind, w.every,
      CASE WHEN w.due = 0 THEN NULL ELSE w.due - w.every END AS last
    FROM watch w JOIN rank_series s ON s.id = w.series_id JOIN phrase p ON p.id = s.phrase_id`
  const ofVideo = db.prepare<[string, string], Watch>(
    `${WATCH} WHERE s.video = ? AND w.workspace_id = ? ORDER BY p.text, s.region, s.kind`,
  )
  const some = db.prepare<[string, number, number], Watch>(
    `${WATCH} WHERE w.workspace_id = ? ORDER BY w.id LIMIT ? OFFSET ?`,
  )
  const videos = db
    .prepare<[string], string>(
      'SELECT DISTINCT s.video FROM watch w JOIN rank_series s ON s.id = w.series_id WHERE w.workspace_id = ?',
    )
    .pluck()
  const everyOf = db
    .prepare<[string], number>(
      `SELECT min(w.every) FROM watch w JOIN rank_series s ON s.id = w.series_id WHERE w.workspace_id = ?
        GROUP BY s.phrase_id, s.region, s.kind`,
    )
    .pluck()
  // One look serves all videos on a page: it is due when that of any of them is.
  const due = db.prepare<[number], DuePage>(
    `SELECT p.text AS phrase, s.region, p.language, s.kind, s.video, w.workspace_id AS workspace
      FROM watch w JOIN rank_series s ON s.id = w.series_id JOIN phrase p ON p.id = s.phrase_id
      WHERE w.due <= ?
      GROUP BY s.phrase_id, s.region, s.kind ORDER BY s.region, s.phrase_id, s.kind`,
  )
  const add = db.transaction((workspace: string, wanted: readonly ToWatch[], every: number): boolean => {
    const before = count.get(workspace)!
    for (const { video, page } of wanted) put.run({ workspace, series: ranks.seriesOf(video, page), every, at: now() })
    if (count.get(workspace)! <= Math.max(before, MOST_WATCHES)) return true
    throw new TooMany()
  })
  const remove = db.transaction((workspace: string, ids: readonly number[]) =>
    ids.reduce((sum, id) => sum + drop.run(id, workspace).changes, 0),
  )
  return {
    /** Watches from now on, or as often as said now. @returns false where it would be too many: then none is kept. */
    add(workspace: string, wanted: readonly ToWatch[], every: number): boolean {
      try {
        return add.immediate(workspace, wanted, every)
      } catch (error) {
        if (error instanceof TooMany) return false
        throw error
      }
    },
    /** Ranks that are known stay. @returns how many were watched. */
    remove: (workspace: string, ids: readonly number[]): number => remove.immediate(workspace, ids),
    ofVideo: (workspace: string, video: string): Watch[] => ofVideo.all(video, workspace),
    /** Some of all, in the order in which they came. */
    some: (workspace: string, limit: number, offset: number): Watch[] => some.all(workspace, limit, offset),
    count: (workspace: string): number => count.get(workspace)!,
    /** The videos that are watched. */
    videos: (workspace: string): string[] => videos.all(workspace),
    cost: (workspace: string): WatchCost => watchCost(everyOf.all(workspace)),
    /** Pages to be looked up on a day, in days since 1970, those of a region together. */
    due: (day: number): DuePage[] => due.all(day),
  }
}

/** Takes back what would be too many. */
class TooMany extends Error {}

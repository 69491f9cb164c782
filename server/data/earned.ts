import type { EarnedKind } from '../../core/formats/earnedColumns'
import { relaxedTransaction, type Db } from './open'

/** What a video brought on a day, by one link. */
export interface EarnedLine {
  video: string
  /** Days since 1970. */
  day: number
  kind: EarnedKind
  /** '' where it is not told. */
  link: string
  count: number
  /** In the workspace's currency; `null` where it is not told. */
  value: number | null
}
type LineKey = Pick<EarnedLine, 'video' | 'day' | 'kind' | 'link'>
/** What is known of a kind in a workspace. */
export interface EarnedSpan {
  kind: EarnedKind
  count: number
  /** How many of them have a value, and what these add up to. */
  valued: number
  value: number
  /** Days since 1970. */
  first: number
  last: number
}
/** A video with what it brought on days of which its views are known. */
export interface EarnedVideo {
  video: string
  count: number
  views: number
  /** Views by searching; `null` where they are not told of all these days. */
  search: number | null
  /** Days of which views are known. */
  days: number
}
/** How often a video was seen at a rank for a phrase. */
export interface RankSeen {
  video: string
  phrase: string
  language: string
  region: string
  searches: number
  /** `null` beyond the results read. */
  rank: number | null
  days: number
}

export type EarnedStore = ReturnType<typeof earnedStore>

/** Clicks, calls, coupons and orders that videos brought. What is told later of a day replaces what was told before. */
export function earnedStore(db: Db) {
  const line = db.prepare<[string, string, number, string, string], EarnedLine>(
    `SELECT video, day, kind, link, count, value FROM earned
      WHERE workspace_id = ? AND video = ? AND day = ? AND kind = ? AND link = ?`,
  )
  const put = db.prepare(
    `INSERT OR REPLACE INTO earned (workspace_id, video, day, kind, link, count, value)
      VALUES (?, ?, ?, ?, ?, ?, ?)`,
  )
  const drop = db.prepare(
    'DELETE FROM earned WHERE workspace_id = ? AND video = ? AND day = ? AND kind = ? AND link = ?',
  )
  const newest = db.prepare<[string, number], EarnedLine>(
    `SELECT video, day, kind, link, count, value FROM earned WHERE workspace_id = ?
      ORDER BY day DESC, count = 0, video, kind, link LIMIT ?`,
  )
  const spans = db.prepare<[string], EarnedSpan>(
    `SELECT kind, sum(count) AS count, coalesce(sum(count) FILTER (WHERE value IS NOT NULL), 0) AS valued,
        coalesce(sum(value), 0) AS value, min(day) AS first, max(day) AS last
      FROM earned WHERE workspace_id = ? GROUP BY kind`,
  )
  const toldVideos = db.prepare<[string], string>('SELECT DISTINCT video FROM earned WHERE workspace_id = ?').pluck()
  const videos = db.prepare<
    { workspace: string; ids: string; kind: EarnedKind; from: number; to: number },
    EarnedVideo
  >(
    `WITH told AS (SELECT value AS video FROM json_each(@ids)),
        brought AS (SELECT e.video, e.day, sum(e.count) AS count FROM told CROSS JOIN earned e ON e.video = told.video
          WHERE e.workspace_id = @workspace AND e.kind = @kind AND +e.day BETWEEN @from AND @to GROUP BY e.video, e.day)
      SELECT told.video, coalesce(sum(b.count), 0) AS count, coalesce(sum(d.views), 0) AS views,
        CASE WHEN count(d.search) = count(d.day) THEN sum(d.search) END AS search, count(d.day) AS days
      FROM told LEFT JOIN video_day d ON d.video = told.video AND d.day BETWEEN @from AND @to AND d.views IS NOT NULL
        LEFT JOIN brought b ON b.video = d.video AND b.day = d.day
      GROUP BY told.video`,
  )
  const seen = db.prepare<{ ids: string; from: number; to: number }, RankSeen>(
    `SELECT s.video, p.text AS phrase, p.language, s.region, f.volume AS searches, d.rank, count(*) AS days
      FROM json_each(@ids) k JOIN rank_series s ON s.video = k.value AND s.kind = 'site'
        JOIN phrase p ON p.id = s.phrase_id
        JOIN figure f ON f.phrase_id = p.id AND f.region = s.region AND f.counts = 1 AND f.volume IS NOT NULL
        JOIN rank_day d ON d.series_id = s.id AND d.day BETWEEN @from AND @to
      GROUP BY s.id, d.rank`,
  )
  const told = db
    .prepare<[string, string, number, number], number>(
      'SELECT coalesce(sum(count), 0) FROM earned WHERE workspace_id = ? AND kind = ? AND day BETWEEN ? AND ?',
    )
    .pluck()
  function saveAll(workspace: string, lines: readonly EarnedLine[]) {
    let updated = 0
    for (const { video, day, kind, link, count, value } of lines) {
      if (line.get(workspace, video, day, kind, link)) updated++
      put.run(workspace, video, day, kind, link, count, value)
    }
    return { accepted: lines.length - updated, updated }
  }
  return {
    /** Keeps lines of a table, which can be read again. @returns how many were not known before, and how many were. */
    save: relaxedTransaction(db, saveAll),
    /** Keeps what a person typed. @returns what was told of it before. */
    tell: db.transaction((workspace: string, typed: EarnedLine): EarnedLine | null => {
      const { video, day, kind, link } = typed
      const before = line.get(workspace, video, day, kind, link) ?? null
      saveAll(workspace, [typed])
      return before
    }).immediate,
    /** @returns whether there was such a line. */
    remove: (workspace: string, { video, day, kind, link }: LineKey) =>
      drop.run(workspace, video, day, kind, link).changes > 0,
    /** The newest lines. */
    newest: (workspace: string, most: number): EarnedLine[] => newest.all(workspace, most),
    /** How often it happened over days from `from` to `to`. */
    told: (workspace: string, kind: EarnedKind, from: number, to: number): number =>
      told.get(workspace, kind, from, to)!,
    spans: (workspace: string): EarnedSpan[] => spans.all(workspace),
    /** The videos that count: on days without a line one of which anything was ever told brought nothing. */
    toldVideos: (workspace: string): string[] => toldVideos.all(workspace),
    /** What some of them brought, over days from `from` to `to`. */
    videos: (
      workspace: string,
      ids: readonly string[],
      kind: EarnedKind,
      { from, to }: { from: number; to: number },
    ): EarnedVideo[] => videos.all({ workspace, ids: JSON.stringify(ids), kind, from, to }),
    /** Where videos stood in the site's search over these days, for phrases whose searches are known. */
    ranksSeen: (videos: readonly string[], from: number, to: number): RankSeen[] =>
      seen.all({ ids: JSON.stringify(videos), from, to }),
  }
}

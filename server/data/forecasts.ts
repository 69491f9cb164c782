import type { Db } from './open'

/** A forecast as it was told, with what it was told from. */
export interface KeptForecast {
  phraseId: number
  /** '' for everywhere. */
  region: string
  moment: 'settled' | 'published'
  /** UTC milliseconds. */
  at: number
  /** Chance of page one as told, and before it was corrected by what came of earlier ones. */
  chance: number
  raw: number
  ranks: [low: number, high: number]
  /** Views to win in ninety days; `null` where the searches are not known. */
  views: [low: number, high: number] | null
  difficulty: number | null
  pageAt: number
  source: string
  learnt: boolean
  model: number
}
export interface ToldForecast extends KeptForecast {
  phrase: string
  /** The video that came of it. */
  video: string
}
interface Row {
  phrase_id: number
  phrase: string
  video: string
  region: string
  moment: KeptForecast['moment']
  at: number
  chance: number
  raw: number
  low_rank: number
  high_rank: number
  low_views: number | null
  high_views: number | null
  difficulty: number | null
  page_at: number
  source: string
  learnt: 0 | 1
  model: number
}
export type ForecastStore = ReturnType<typeof forecastStore>

/** The newest forecasts that are judged: a channel of thousands changes, and only some of it is what it was. */
const MOST = 20_000

/** Forecasts of page one as they were told. */
export function forecastStore(db: Db) {
  const put = db.prepare(
    `INSERT OR IGNORE INTO forecast (workspace_id, brief_id, video, phrase_id, region, moment, at, chance, raw, low_rank,
        high_rank, low_views, high_views, difficulty, page_at, source, learnt, model)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  )
  const has = db
    .prepare<[string, number, string, string], 1>(
      'SELECT 1 FROM forecast WHERE brief_id = ? AND phrase_id = ? AND region = ? AND moment = ?',
    )
    .pluck()
  const out = db.prepare('UPDATE forecast SET video = ? WHERE brief_id = ? AND video IS NULL')
  const ofVideos = db.prepare<[string, number], Row>(
    `SELECT f.*, p.text AS phrase FROM forecast f JOIN phrase p ON p.id = f.phrase_id
      WHERE f.workspace_id = ? AND f.video IS NOT NULL ORDER BY f.video DESC, f.at DESC LIMIT ?`,
  )
  const briefsNamed = db
    .prepare<[], string>(
      `SELECT DISTINCT f.brief_id FROM forecast f JOIN brief_field a ON a.brief_id = f.brief_id
          AND a.field = 'videoAddress' AND a.value <> '""'
        WHERE f.video IS NULL AND f.brief_id IS NOT NULL`,
    )
    .pluck()
  const count = db
    .prepare<[string], number>(
      'SELECT count(*) FROM forecast WHERE workspace_id = ? AND video IS NULL AND brief_id IS NOT NULL',
    )
    .pluck()
  const linkOut = db.prepare(
    `UPDATE forecast SET video = (SELECT p.video FROM publication p WHERE p.brief_id = forecast.brief_id AND p.state = 'out')
      WHERE video IS NULL AND brief_id IN (SELECT brief_id FROM publication WHERE state = 'out')`,
  )
  const dropLost = db.prepare('DELETE FROM forecast WHERE video IS NULL AND brief_id IS NULL')
  return {
    /** Sees to what the end of the program cut off, and to what was told for briefs that are gone. */
    settle: db.transaction(() => {
      linkOut.run()
      dropLost.run()
    }).immediate,
    /** Whether one was told for a brief at a moment. */
    has: (brief: string, phraseId: number, region: string, moment: KeptForecast['moment']): boolean =>
      has.get(brief, phraseId, region, moment) !== undefined,
    /** Keeps one: the first that is told at a moment stays. @param of what it was told for. */
    put(of: { workspace: string; brief: string | null; video: string | null }, told: KeptForecast): void {
      put.run(
        of.workspace,
        of.brief,
        of.video,
        told.phraseId,
        told.region,
        told.moment,
        told.at,
        told.chance,
        told.raw,
        ...told.ranks,
        ...(told.views ?? [null, null]),
        told.difficulty,
        told.pageAt,
        told.source,
        Number(told.learnt),
        told.model,
      )
    },
    /** A brief became a video: what was told for it was told for that. */
    out: (brief: string, video: string): void => {
      out.run(video, brief)
    },
    /** Of videos that are out, those of a video together, the newest first. */
    ofVideos: (workspace: string): ToldForecast[] =>
      ofVideos.all(workspace, MOST).map(row => ({
        phraseId: row.phrase_id,
        phrase: row.phrase,
        video: row.video,
        region: row.region,
        moment: row.moment,
        at: row.at,
        chance: row.chance,
        raw: row.raw,
        ranks: [row.low_rank, row.high_rank],
        views: row.low_views === null || row.high_views === null ? null : [row.low_views, row.high_views],
        difficulty: row.difficulty,
        pageAt: row.page_at,
        source: row.source,
        learnt: row.learnt === 1,
        model: row.model,
      })),
    /** The briefs that some were told for, that name the address of a video, and whose video is not known. */
    briefsNamed: (): string[] => briefsNamed.all(),
    /** How many were told for what is not out yet. */
    waiting: (workspace: string): number => count.get(workspace) ?? 0,
  }
}

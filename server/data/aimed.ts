import type { RankDay } from '../../core/ranks/standing'
import type { Db } from './open'

/** A phrase that a video was made for: it is watched, or was foretold. */
export interface AimedSeries {
  series: number
  video: string
  phrase: string
  /** '' for everywhere. */
  region: string
  language: string
  /** Difficulty when it was foretold; `null` where it was not. */
  told: number | null
  /** A month, in its region; `null` where they are not known. */
  searches: number | null
}
/** The newest ones that are looked at. */
const MOST = 2000

export type AimedStore = ReturnType<typeof aimedStore>

/** Which of the ranks that are kept are of phrases that a video was made for, and not found by the way. */
export function aimedStore(db: Db) {
  const of = db.prepare<{ workspace: string; most: number }, AimedSeries>(
    `SELECT s.id AS series, s.video, p.text AS phrase, s.region, p.language,
        (SELECT f.difficulty FROM forecast f WHERE f.video = s.video AND f.phrase_id = s.phrase_id
          AND f.region = s.region ORDER BY f.at DESC LIMIT 1) AS told,
        (SELECT g.volume FROM figure g WHERE g.phrase_id = s.phrase_id AND g.region = s.region AND g.counts = 1)
          AS searches
      FROM (SELECT w.series_id AS id FROM watch w WHERE w.workspace_id = @workspace
          UNION SELECT r.id FROM forecast f JOIN rank_series r ON r.video = f.video AND r.phrase_id = f.phrase_id
            AND r.region = f.region AND r.kind = 'site'
            WHERE f.workspace_id = @workspace AND f.video IS NOT NULL
          ORDER BY 1 DESC LIMIT @most) a
        JOIN rank_series s ON s.id = a.id JOIN phrase p ON p.id = s.phrase_id
      WHERE s.kind = 'site'`,
  )
  const dayFrom = db.prepare<[number, number, number], RankDay>(
    'SELECT day, rank, depth FROM rank_day WHERE series_id = ? AND day >= ? AND depth >= ? ORDER BY day LIMIT 1',
  )
  const daysSince = db.prepare<[number, number], RankDay>(
    'SELECT day, rank, depth FROM rank_day WHERE series_id = ? AND day >= ? ORDER BY day',
  )
  return {
    of: (workspace: string): AimedSeries[] => of.all({ workspace, most: MOST }),
    /** The first look of a series on a day or after it that was deep enough. */
    dayFrom: (series: number, day: number, depth: number): RankDay | null => dayFrom.get(series, day, depth) ?? null,
    /** The looks of a series since a day, oldest first. */
    daysSince: (series: number, day: number): RankDay[] => daysSince.all(series, day),
  }
}

import type { RankDay } from '../../core/ranks/standing'
import { standAgain } from './channelSeries'
import type { PageKind } from './results'
import type { Db } from './open'

/** A result page that ranks are looked up on. */
export interface RankPage {
  phraseId: number
  /** '' for everywhere. */
  region: string
  kind: PageKind
}
/** The days of a video for one phrase. */
export interface RankSeries {
  phrase: string
  region: string
  kind: PageKind
  days: RankDay[]
}
export interface RankQuestion {
  video: string
  phrase?: string | undefined
  region?: string | undefined
  kind?: PageKind | undefined
  /** Days, both of them included. */
  from?: number | undefined
  to?: number | undefined
}

interface SeriesRow {
  id: number
  text: string
  region: string
  kind: PageKind
}

export type RankStore = ReturnType<typeof rankStore>

/**
 * Where videos stood for phrases, day by day: the newest look of a day is what counts of it.
 * @param changed called when ranks were kept.
 */
export function rankStore(db: Db, changed: () => void = () => undefined) {
  const knownSeries = db
    .prepare<[string, number, string, string], number>(
      'SELECT id FROM rank_series WHERE video = ? AND phrase_id = ? AND region = ? AND kind = ?',
    )
    .pluck()
  const addSeries = db.prepare('INSERT INTO rank_series (video, phrase_id, region, kind) VALUES (?, ?, ?, ?)')
  const putDay = db.prepare('INSERT OR REPLACE INTO rank_day (series_id, day, rank, depth) VALUES (?, ?, ?, ?)')
  const standAnew = standAgain(db)
  const looked = db.prepare('UPDATE watch SET due = max(due, ? + every) WHERE series_id = ?')
  const followed = db
    .prepare<[number, string, string], string>(
      'SELECT video FROM rank_series WHERE phrase_id = ? AND region = ? AND kind = ?',
    )
    .pluck()
  const ofVideo = db.prepare<
    { video: string; phrase: string | null; region: string | null; kind: string | null },
    SeriesRow
  >(
    `SELECT s.id, p.text, s.region, s.kind FROM rank_series s JOIN phrase p ON p.id = s.phrase_id
      WHERE s.video = @video AND (@phrase IS NULL OR p.text = @phrase) AND (@region IS NULL OR s.region = @region)
        AND (@kind IS NULL OR s.kind = @kind)
      ORDER BY p.text, s.region, s.kind`,
  )
  const daysOf = db.prepare<[number, number, number], RankDay>(
    'SELECT day, rank, depth FROM rank_day WHERE series_id = ? AND day BETWEEN ? AND ? ORDER BY day',
  )
  const seriesOf = (video: string, { phraseId, region, kind }: RankPage): number =>
    knownSeries.get(video, phraseId, region, kind) ??
    Number(addSeries.run(video, phraseId, region, kind).lastInsertRowid)
  const save = db.transaction(
    (page: RankPage, day: number, ranks: ReadonlyMap<string, number | null>, depth: number) => {
      for (const [video, rank] of ranks) {
        const series = seriesOf(video, page)
        putDay.run(series, day, rank, depth)
        standAnew(series)
        looked.run(day, series)
      }
    },
  )
  return {
    /** The id under which the days of a video on a page are kept, from now on where they never were. */
    seriesOf,
    /** Keeps the ranks of a page that was read: of all videos in one go, on disk when it returns. */
    save: (page: RankPage, day: number, ranks: ReadonlyMap<string, number | null>, depth: number): void => {
      save.immediate(page, day, ranks, depth)
      changed()
    },
    /** The videos that were ever looked up on a page. */
    followed: ({ phraseId, region, kind }: RankPage): string[] => followed.all(phraseId, region, kind),
    /** What is known of a video, phrase by phrase, days oldest first. */
    of({ video, phrase, region, kind, from = 0, to = Number.MAX_SAFE_INTEGER }: RankQuestion): RankSeries[] {
      return ofVideo
        .all({ video, phrase: phrase ?? null, region: region ?? null, kind: kind ?? null })
        .map(({ id, text, ...series }) => ({ ...series, phrase: text, days: daysOf.all(id, from, to) }))
    },
  }
}

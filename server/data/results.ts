import { DAY } from '../../core/time'
import { MODEL_VERSION } from '../../core/modelVersion'
import type { Intent } from '../../core/demand/intentNames'
import { PAGE_SEATS, difficulty, type Difficulty } from '../../core/rivals/difficulty'
import type { Strength } from '../../core/rivals/strength'
import type { SiteVideo } from '../services/contract'
import { relaxedTransaction, type Db } from './open'
import { spellingMatcher } from './spellings'
import { packStrengths } from './strengths'
import { videoStore, type VideoRow } from './videos'

export type PageKind = 'site' | 'web'

/** A result page as read, with the strength of each seat. Region '' is everywhere. */
export interface PageToKeep {
  phraseId: number
  region: string
  kind: PageKind
  source: string
  at: number
  depth: number
  complete: boolean
  /** Whether the site has results beyond those read. */
  more: boolean
  titleMatches: number | null
  videoBlock: boolean | null
  intent: Intent | null
  /** Whether it was imported by a person rather than loaded from a service. */
  imported?: boolean
  /** What it asks of a new video, by the model in use; `null` or absent without one. */
  hurdle?: number | null
  seats: { video: SiteVideo; strength: Strength }[]
}

/** A kept page as its row stands. */
export interface SavedPage {
  id: number
  phrase_id: number
  region: string
  kind: PageKind
  source: string
  at: number
  depth: number
  complete: number
  more: number
  title_matches: number | null
  video_block: number | null
  difficulty: number | null
  front: number | null
  middle: number | null
  rest: number | null
  model_version: number
  imported: number
}

export type SeatRow = Omit<VideoRow, 'id'> & {
  rank: number
  video_id: number
  strength: number
  targeting: number | null
  reach: number | null
  pull: number | null
  off: number
}

/** Difficulty and strengths of a page without what was taken out of it. */
export function difficultyOf(
  seats: readonly { strength: number; off: boolean }[],
  complete: boolean,
  more: boolean,
): { difficulty: Difficulty | null; strengths: number[] } {
  const strengths = seats.filter(seat => !seat.off).map(seat => seat.strength)
  const unread = more ? Math.max(0, PAGE_SEATS - strengths.length) : 0
  return { difficulty: difficulty(strengths, complete, unread), strengths }
}

export type ResultStore = ReturnType<typeof resultStore>

/**
 * Result pages, and the page that stands for each phrase.
 * @param changed told the ids of phrases whose standing page changed, once that is committed, and whether by a person's
 * doing.
 */
export function resultStore(db: Db, changed: (ids: readonly number[], byPerson?: boolean) => void = () => undefined) {
  const videos = videoStore(db)
  const addPage = db.prepare(`
    INSERT INTO result_page (phrase_id, region, kind, source, at, depth, complete, more, title_matches, video_block,
      difficulty, front, middle, rest, model_version, imported)
    VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`)
  const addSeat = db.prepare(
    `INSERT INTO seat (page_id, rank, video_id, subscribers, views, likes, comments, strength, targeting, reach, pull)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  )
  const seenAt = db.prepare<[number, string, number], { id: number }>(
    "SELECT id FROM result_page WHERE phrase_id = ? AND region = ? AND kind = 'site' AND at = ?",
  )
  const lastOf = db.prepare<[number, string, string], { id: number }>(
    "SELECT id FROM result_page WHERE phrase_id = ? AND region = ? AND kind = 'site' AND source = ? ORDER BY at DESC LIMIT 1",
  )
  const currentPage = db.prepare<[number, string], SavedPage>(
    'SELECT r.* FROM standing_page s JOIN result_page r ON r.id = s.page_id WHERE s.phrase_id = ? AND s.region = ?',
  )
  const effectivePage = db.prepare<[number, string], SavedPage>(
    `SELECT k.* FROM standing_page g LEFT JOIN standing_page r ON r.phrase_id = g.read_as AND r.region = g.region
      JOIN result_page k ON k.id = coalesce(r.page_id, g.page_id) WHERE g.phrase_id = ? AND g.region = ?`,
  )
  const newestOf = db.prepare<[number, string, string], SavedPage>(
    'SELECT * FROM result_page WHERE phrase_id = ? AND region = ? AND kind = ? ORDER BY at DESC LIMIT 1',
  )
  const ofDay = db.prepare<[number, string, string, number, number], SavedPage>(
    `SELECT * FROM result_page WHERE phrase_id = ? AND region = ? AND kind = ? AND at >= ? AND at < ?
      ORDER BY at DESC LIMIT 1`,
  )
  const setCurrentPage = db.prepare(
    `INSERT OR REPLACE INTO standing_page (phrase_id, region, page_id, difficulty, title_matches, video_block,
      strengths, more, intent, hurdle) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  )
  const updateCurrentPage = db.prepare(
    'UPDATE standing_page SET difficulty = ?, strengths = ?, hurdle = NULL WHERE phrase_id = ? AND region = ?',
  )
  const updateDifficulty = db.prepare(
    'UPDATE result_page SET difficulty = ?, front = ?, middle = ?, rest = ? WHERE id = ?',
  )
  const pagesOf = db.prepare<[number], SavedPage & { stands: number }>(
    `SELECT r.*, s.page_id IS NOT NULL AS stands FROM result_page r
      LEFT JOIN standing_page s ON s.phrase_id = r.phrase_id AND s.region = r.region AND s.page_id = r.id
      WHERE r.phrase_id = ?`,
  )
  const unpacked = db.prepare<[], { phrase_id: number }>('SELECT phrase_id FROM standing_page WHERE strengths IS NULL')
  const seats = db.prepare<
    [number, number, number],
    SeatRow
  >(`SELECT s.rank, s.video_id, v.code, v.title, v.description, v.tags, v.channel_id, c.title AS channel_title,
      s.subscribers, s.views, s.likes, v.dislikes, s.comments, v.published_at, v.seconds, v.thumbnail, v.category,
      v.at, s.strength, s.targeting, s.reach, s.pull, o.video_id IS NOT NULL AS off
    FROM seat s JOIN video v ON v.id = s.video_id JOIN channel c ON c.id = v.channel_id
    LEFT JOIN off_topic o ON o.phrase_id = ? AND o.video_id = s.video_id WHERE s.page_id = ? AND s.rank <= ?
    ORDER BY s.rank`)
  const offCodes = db
    .prepare<[number], [code: string]>(
      'SELECT v.code FROM off_topic o JOIN video v ON v.id = o.video_id WHERE o.phrase_id = ?',
    )
    .raw()
  const putOff = db.prepare(
    'INSERT OR IGNORE INTO off_topic (phrase_id, video_id, at) SELECT ?, id, ? FROM video WHERE code = ?',
  )
  const dropOff = db.prepare(
    'DELETE FROM off_topic WHERE phrase_id = ? AND video_id = (SELECT id FROM video WHERE code = ?)',
  )
  const pastPages = db.prepare<[number, string, string], SavedPage>(
    `SELECT * FROM result_page WHERE phrase_id = ? AND region = ? AND kind = ? AND complete = 1 ORDER BY at DESC
      LIMIT 60`,
  )
  const codeRows = db
    .prepare<[number, number], [code: string]>(
      'SELECT v.code FROM seat s JOIN video v ON v.id = s.video_id WHERE s.page_id = ? AND s.rank <= ? ORDER BY s.rank',
    )
    .raw()
  const codesOf = (pageId: number, most: number): string[] => codeRows.all(pageId, most).map(([code]) => code)
  const matchSpellings = spellingMatcher(db, codesOf)
  const seatIds = db
    .prepare<[number, string], [video: number]>(
      `SELECT s.video_id FROM standing_page g JOIN seat s ON s.page_id = g.page_id WHERE g.phrase_id = ?
        AND g.region = ? AND s.rank <= 20 ORDER BY s.rank`,
    )
    .raw()
  const neighbours = db.prepare<
    { page: number; region: string; most: number },
    { phrase_id: number; page_id: number; shared: number }
  >(`SELECT g.phrase_id, g.page_id, count(*) AS shared FROM seat mine
    JOIN seat other ON other.video_id = mine.video_id JOIN standing_page g ON g.page_id = other.page_id
    WHERE mine.page_id = @page AND mine.rank <= 20 AND g.region = @region AND g.page_id != @page GROUP BY g.page_id
    ORDER BY shared DESC, g.phrase_id LIMIT @most`)

  const readAsAnywhere = db.prepare<[number], { phrase_id: number }>(
    'SELECT DISTINCT phrase_id FROM standing_page WHERE read_as = ?',
  )
  const savePages = relaxedTransaction(db, (pages: readonly PageToKeep[]): number[] => {
    const changed: number[] = []
    for (const page of pages) {
      const { phraseId, region } = page
      const off = new Set(offCodes.all(phraseId).map(([code]) => code))
      const { difficulty, strengths } = difficultyOf(
        page.seats.map(({ video, strength }) => ({ strength: strength.strength, off: off.has(video.id) })),
        page.complete,
        page.more,
      )
      const block = page.videoBlock === null ? null : Number(page.videoBlock)
      const id = Number(
        addPage.run(
          phraseId,
          region,
          page.kind,
          page.source,
          page.at,
          page.depth,
          Number(page.complete),
          Number(page.more),
          page.titleMatches,
          block,
          difficulty?.page ?? null,
          difficulty?.front ?? null,
          difficulty?.middle ?? null,
          difficulty?.rest ?? null,
          MODEL_VERSION,
          Number(page.imported ?? false),
        ).lastInsertRowid,
      )
      page.seats.forEach(({ video, strength }, i) => {
        addSeat.run(
          id,
          i + 1,
          videos.saveVideo(video, page.at),
          video.channel.subscribers,
          video.views,
          video.likes,
          video.comments,
          strength.strength,
          strength.targeting,
          strength.reach,
          strength.pull,
        )
      })
      if (page.kind !== 'site') continue
      // A page that came back half, or was seen earlier and told later, is no reason to forget a whole one.
      const before = currentPage.get(phraseId, region)
      if (!before?.complete || (page.complete && page.at >= before.at))
        setCurrentPage.run(
          phraseId,
          region,
          id,
          difficulty?.page ?? null,
          page.titleMatches,
          block,
          packStrengths(strengths),
          Number(page.more),
          page.intent,
          // One without what a person took out of it is judged by itself.
          off.size ? null : (page.hurdle ?? null),
        )
      changed.push(phraseId, ...matchSpellings(phraseId, region, currentPage.get(phraseId, region)!.id))
    }
    return changed
  })

  /**
   * Works out anew what follows from the pages of a phrase, from the strengths they were read with (and so under their
   * model's version): those that stand for it, of web search, and of earlier looks.
   */
  function recomputeDifficulty(phraseId: number): void {
    for (const page of pagesOf.all(phraseId)) {
      const { difficulty, strengths } = difficultyOf(
        seats.all(phraseId, page.id, 1000).map(seat => ({ strength: seat.strength, off: seat.off === 1 })),
        page.complete === 1,
        page.more === 1,
      )
      updateDifficulty.run(
        difficulty?.page ?? null,
        difficulty?.front ?? null,
        difficulty?.middle ?? null,
        difficulty?.rest ?? null,
        page.id,
      )
      if (page.stands) updateCurrentPage.run(difficulty?.page ?? null, packStrengths(strengths), phraseId, page.region)
    }
  }
  const setExcluded = db.transaction((phraseId: number, codes: readonly string[], off: boolean, at: number) => {
    for (const code of codes) {
      if (off) putOff.run(phraseId, at, code)
      else dropOff.run(phraseId, code)
    }
    recomputeDifficulty(phraseId)
  })
  // Pages kept by a version that did not pack strengths.
  db.transaction(() => {
    for (const { phrase_id } of db.readonly ? [] : unpacked.all()) recomputeDifficulty(phrase_id)
  })()

  return {
    /** Keeps pages in one transaction; each whole one of the site stands for its phrase from now on. */
    save(pages: readonly PageToKeep[]): void {
      if (!pages.length) return
      changed(
        [...new Set([...pages.map(page => page.phraseId), ...savePages(pages)])],
        pages.some(page => page.imported),
      )
    },
    /**
     * Whether a page of a file is kept already: one seen at its time, or, where the file tells none, the last one of
     * its source if it holds the same videos.
     */
    hasPage({
      phraseId,
      region,
      at,
      source,
      codes,
    }: {
      phraseId: number
      region: string
      at: number | null
      source: string
      codes: readonly string[]
    }): boolean {
      if (at !== null) return seenAt.get(phraseId, region, at) !== undefined
      const last = lastOf.get(phraseId, region, source)
      return last !== undefined && codesOf(last.id, codes.length + 1).join('\n') === codes.join('\n')
    },
    /** The page that gives a phrase its difficulty: its own, or that of the spelling it is read as. */
    effective: (phraseId: number, region: string): SavedPage | null => effectivePage.get(phraseId, region) ?? null,
    /**
     * The page that stands for a phrase in a region: the newest whole one, or the newest if none is whole. For the
     * web's block, the newest.
     */
    latest: (phraseId: number, region: string, kind: PageKind = 'site'): SavedPage | null =>
      (kind === 'site' ? currentPage.get(phraseId, region) : newestOf.get(phraseId, region, kind)) ?? null,
    /** The last page of a day that is kept; `null` for none. @param from its beginning, UTC milliseconds. */
    ofDay: (phraseId: number, region: string, kind: PageKind, from: number): SavedPage | null =>
      ofDay.get(phraseId, region, kind, from, from + DAY) ?? null,
    /** The seats of a page down to a depth; `off` marks those taken out for its phrase. */
    seats: (page: Pick<SavedPage, 'id' | 'phrase_id'>, depth: number): SeatRow[] =>
      seats.all(page.phrase_id, page.id, depth),
    /** Takes videos out of a phrase's pages, or back in, in one go; everything that follows is worked out anew. */
    setOffTopic(phraseId: number, codes: readonly string[], off: boolean, at: number): void {
      setExcluded.immediate(phraseId, codes, off, at)
      changed([phraseId, ...readAsAnywhere.all(phraseId).map(row => row.phrase_id)], true)
    },
    /** Whole pages kept of a phrase, newest first, each with its videos' codes by rank. */
    past: (phraseId: number, region: string, kind: PageKind = 'site') =>
      pastPages.all(phraseId, region, kind).map(page => ({
        id: page.id,
        at: page.at,
        source: page.source,
        difficulty: page.difficulty,
        ids: codesOf(page.id, PAGE_SEATS),
      })),
    /** Ids of the first twenty videos for a phrase, by rank; empty when nothing is kept. */
    firstPage: (phraseId: number, region: string): number[] => seatIds.all(phraseId, region).map(([id]) => id),
    /** Standing pages of other phrases that share most videos with a page. */
    neighbours: (pageId: number, region: string, most = 30) => neighbours.all({ page: pageId, region, most }),
  }
}

import { EFFECTIVE_PAGE } from './effectivePage'
import type { Db } from './open'

/** What the index in memory needs of a phrase in a region. Unknown is `null`. */
export type FigureColumns = [
  id: number,
  volume: number | null,
  change: number | null,
  competition: number | null,
  advertiser: number | null,
  direction: string | null,
  yearly: number | null,
  seasonStrength: number | null,
  seasonPeaks: number | null,
]
export type PageColumns = [
  id: number,
  difficulty: number | null,
  titleMatches: number | null,
  videoBlock: number | null,
  intent: string | null,
  strengths: Buffer | null,
  more: number | null,
  hurdle: number | null,
]

const FIGURE =
  'phrase_id, volume, coalesce(change, months_change), competition, advertiser, trend_direction, trend_yearly, season_strength, season_peaks FROM figure'
const PAGE = `g.phrase_id, ${EFFECTIVE_PAGE.difficulty}, ${EFFECTIVE_PAGE.titleMatches}, g.video_block, g.intent, ${EFFECTIVE_PAGE.strengths}, ${EFFECTIVE_PAGE.more}, ${EFFECTIVE_PAGE.hurdle} FROM standing_page g ${EFFECTIVE_PAGE.join}`

/** Reads what the index is made of; for a connection of its own, which only reads. */
export function indexRows(db: Db) {
  return {
    /** Every phrase of a language by its text, without a sort: the order is that of the unique index. */
    phrases: db
      .prepare<[string], [id: number, text: string]>(
        'SELECT id, text FROM phrase INDEXED BY sqlite_autoindex_phrase_1 WHERE language = ? ORDER BY text',
      )
      .raw(),
    inOrder: db
      .prepare<[string], [id: number]>(
        'SELECT id FROM phrase INDEXED BY sqlite_autoindex_phrase_1 WHERE language = ? ORDER BY text',
      )
      .raw(),
    /** The phrase whose text comes right before another. */
    before: db
      .prepare<[string, string], [id: number]>(
        `SELECT id FROM phrase INDEXED BY sqlite_autoindex_phrase_1 WHERE language = ? AND text < ?
          ORDER BY text DESC LIMIT 1`,
      )
      .raw(),
    textsBetween: db
      .prepare<[number, number, string, number], [id: number, text: string]>(
        'SELECT id, text FROM phrase NOT INDEXED WHERE id > ? AND id <= ? AND language = ? ORDER BY id LIMIT ?',
      )
      .raw(),
    via: db
      .prepare<[string], [id: number, via: number]>('SELECT id, via FROM phrase WHERE language = ? AND via != 0')
      .raw(),
    pages: db.prepare<[string], PageColumns>(`SELECT ${PAGE} WHERE g.region = ?`).raw(),
    /** The same of phrases whose ids follow one another, as new ones do. */
    phraseRange: db
      .prepare<[number, number], [id: number, language: string, text: string, via: number]>(
        'SELECT id, language, text, via FROM phrase WHERE id BETWEEN ? AND ?',
      )
      .raw(),
    figureRange: db
      .prepare<[number, number, string], FigureColumns>(
        `SELECT ${FIGURE} WHERE phrase_id BETWEEN ? AND ? AND region = ? AND counts = 1`,
      )
      .raw(),
    volumeRange: db
      .prepare<[number, number, string], [id: number, volume: number | null]>(
        'SELECT phrase_id, volume FROM figure WHERE phrase_id BETWEEN ? AND ? AND region = ? AND counts = 1',
      )
      .raw(),
    /** How many figures there are of phrases whose ids follow one another, by region. */
    countRange: db
      .prepare<[number, number], [region: string, figures: number]>(
        'SELECT region, count(*) FROM figure WHERE phrase_id BETWEEN ? AND ? AND counts = 1 GROUP BY region',
      )
      .raw(),
    lastId: db.prepare<[], number>('SELECT coalesce(max(id), 0) FROM phrase').pluck(),
    pageRange: db
      .prepare<[number, number, string], PageColumns>(
        `SELECT ${PAGE} WHERE g.phrase_id BETWEEN ? AND ? AND g.region = ?`,
      )
      .raw(),
    phrase: db
      .prepare<[number], [language: string, text: string, via: number]>(
        'SELECT language, text, via FROM phrase WHERE id = ?',
      )
      .raw(),
    figure: db
      .prepare<[number, string], FigureColumns>(`SELECT ${FIGURE} WHERE phrase_id = ? AND region = ? AND counts = 1`)
      .raw(),
    page: db.prepare<[number, string], PageColumns>(`SELECT ${PAGE} WHERE g.phrase_id = ? AND g.region = ?`).raw(),
    ofLook: db.prepare<[number], [id: number]>('SELECT phrase_id FROM look_phrase WHERE look_id = ?').raw(),
    idOf: db.prepare<[string, string], [id: number]>('SELECT id FROM phrase WHERE language = ? AND text = ?').raw(),
    places: db.prepare<[], [name: string]>('SELECT DISTINCT name FROM place').raw(),
  }
}
export type IndexRows = ReturnType<typeof indexRows>

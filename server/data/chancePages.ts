import type { Db } from './open'

export interface ChancePageRow {
  id: number
  phrase_id: number
  text: string
  language: string
  at: number
  more: number
}
export interface ChanceSeatRow {
  video_id: number
  subscribers: number | null
  views: number | null
}
export interface ChanceVideoRow {
  id: number
  code: string
  channel_id: string
  title: string
  description: string | null
  tags: string | null
  published_at: number | null
  seconds: number | null
  views: number | null
  at: number
  subscribers: number | null
}

const VIDEO = `SELECT v.id, v.code, v.channel_id, v.title, v.description, v.tags, v.published_at, v.seconds, v.views, v.at,
  c.subscribers FROM video v JOIN channel c ON c.id = v.channel_id`

/** Reads what chances are learnt from; for a connection of its own, in a thread. */
export function chancePages(db: Db) {
  return {
    /** Whole pages that stand for their phrase, by region and source, most first. */
    counts: db.prepare<[], { region: string; source: string; pages: number }>(
      `SELECT r.region, r.source, count(*) AS pages FROM standing_page g JOIN result_page r ON r.id = g.page_id
        WHERE r.complete = 1 AND g.read_as IS NULL GROUP BY r.region, r.source ORDER BY pages DESC`,
    ),
    /** Phrases of a region whose page was told to ask something. */
    asking: db
      .prepare<[region: string], number>('SELECT phrase_id FROM standing_page WHERE region = ? AND hurdle IS NOT NULL')
      .pluck(),
    /** Whole pages of a source that stand for their phrase in a region, newest first. */
    pages: db.prepare<[region: string, source: string], ChancePageRow>(
      `SELECT r.id, r.phrase_id, p.text, p.language, r.at, r.more FROM standing_page g
        JOIN result_page r ON r.id = g.page_id JOIN phrase p ON p.id = g.phrase_id
        WHERE g.region = ? AND r.source = ? AND r.complete = 1 AND g.read_as IS NULL ORDER BY r.at DESC, r.id DESC`,
    ),
    /** Results of a page by rank; those taken out of it left out. */
    seats: db.prepare<[page: number, most: number, phrase: number], ChanceSeatRow>(
      `SELECT s.video_id, s.subscribers, s.views FROM seat s
        WHERE s.page_id = ? AND s.rank <= ?
        AND NOT EXISTS (SELECT 1 FROM off_topic o WHERE o.phrase_id = ? AND o.video_id = s.video_id)
        ORDER BY s.rank`,
    ),
    video: db.prepare<[id: number], ChanceVideoRow>(`${VIDEO} WHERE v.id = ?`),
    /** Channels whose list of videos was seen whole. */
    listed: db.prepare<[], string>('SELECT id FROM channel WHERE listed_at IS NOT NULL').pluck(),
    ofChannel: db.prepare<[channel: string, most: number], ChanceVideoRow>(
      `${VIDEO} WHERE v.channel_id = ? ORDER BY v.published_at DESC LIMIT ?`,
    ),
    model: db
      .prepare<[region: string, at: number], string>(
        'SELECT model FROM chance_model WHERE region = ? AND at = ? AND used = 1',
      )
      .pluck(),
  }
}
export type ChancePages = ReturnType<typeof chancePages>

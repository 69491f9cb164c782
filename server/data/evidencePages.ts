import type { Db } from './open'

/** A page to be read: the one that stands for its phrase. */
export interface UnreadPage {
  id: number
  text: string
  language: string
}

export interface TextRow {
  id: number
  title: string
  description: string | null
  tags: string | null
}

export interface ReadPageRow {
  id: number
  phrase_id: number
  region: string
  at: number
  text: string
  outcomes: Buffer
}

export interface FootingRow {
  rank: number
  video_id: number
  reach: number | null
  pull: number | null
  published_at: number | null
  off: number
}

const STANDING = `FROM result_page r JOIN standing_page g ON g.page_id = r.id JOIN phrase p ON p.id = r.phrase_id
  WHERE r.complete = 1 AND g.read_as IS NULL`

/** Reads what evidence is made of; for a connection of its own, in a thread, which goes through all pages. */
export function evidencePages(db: Db) {
  return {
    /**
     * Pages without a reading by some rules, from a page on, whole ones that stand for their phrase: one share of all,
     * such as every second.
     */
    unread: db.prepare<[rules: number, after: number, shares: number, share: number, most: number], UnreadPage>(
      `SELECT r.id, p.text, p.language ${STANDING}
        AND NOT EXISTS (SELECT 1 FROM page_reading e WHERE e.rules_id = ? AND e.page_id = r.id) AND r.id > ?
        AND r.id % ? = ? ORDER BY r.id LIMIT ?`,
    ),
    unreadCount: db.prepare<[rules: number], { n: number }>(
      `SELECT count(*) AS n ${STANDING}
        AND NOT EXISTS (SELECT 1 FROM page_reading e WHERE e.rules_id = ? AND e.page_id = r.id)`,
    ),
    texts: db.prepare<[page: number], TextRow>(
      `SELECT v.id, v.title, v.description, v.tags FROM seat s JOIN video v ON v.id = s.video_id
        WHERE s.page_id = ? AND s.rank <= 20 ORDER BY s.rank`,
    ),
    /** Pages read by some rules; '' is every region, or language. */
    read: db.prepare<{ rules: number; region: string; language: string }, ReadPageRow>(
      `SELECT r.id, r.phrase_id, r.region, r.at, p.text, e.outcomes FROM page_reading e
        JOIN result_page r ON r.id = e.page_id JOIN standing_page g ON g.page_id = r.id
        JOIN phrase p ON p.id = r.phrase_id
        WHERE e.rules_id = @rules AND g.read_as IS NULL AND @region IN ('', r.region) AND @language IN ('', p.language)
        ORDER BY r.id`,
    ),
    /** Standing pages that share so many of their first twenty videos with a page. */
    near: db
      .prepare<[page: number, shared: number], number>(
        `SELECT other.page_id FROM seat mine JOIN seat other ON other.video_id = mine.video_id
          JOIN standing_page g ON g.page_id = other.page_id
          WHERE mine.page_id = ? AND mine.rank <= 20 AND other.rank <= 20
          GROUP BY other.page_id HAVING count(*) >= ?`,
      )
      .pluck(),
    footings: db.prepare<[phrase: number, page: number], FootingRow>(
      `SELECT s.rank, s.video_id, s.reach, s.pull, v.published_at, o.video_id IS NOT NULL AS off
        FROM seat s JOIN video v ON v.id = s.video_id
        LEFT JOIN off_topic o ON o.phrase_id = ? AND o.video_id = s.video_id
        WHERE s.page_id = ? AND s.rank <= 20 ORDER BY s.rank`,
    ),
  }
}

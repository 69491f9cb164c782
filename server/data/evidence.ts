import type { Db } from './open'
import { relaxedTransaction } from './open'

/** Thresholds whose readings are kept; those used longest ago go. */
const KEPT = 8

export interface SavedReading {
  pageId: number
  outcomes: Uint8Array
}

export type EvidenceStore = ReturnType<typeof evidenceStore>

/** What checks say of the pages kept, and the answers made of it. */
export function evidenceStore(db: Db) {
  const use = db.prepare<[string, number], { id: number }>(
    `INSERT INTO evidence_rules (key, used_at) VALUES (?, ?)
      ON CONFLICT (key) DO UPDATE SET used_at = excluded.used_at RETURNING id`,
  )
  const find = db.prepare<[string], { id: number }>('SELECT id FROM evidence_rules WHERE key = ?')
  const forget = db.prepare(
    `DELETE FROM evidence_rules WHERE id IN
      (SELECT id FROM evidence_rules ORDER BY used_at DESC, id DESC LIMIT -1 OFFSET ${KEPT})`,
  )
  // A page may have been forgotten while it was read.
  const add = db.prepare(
    `INSERT OR REPLACE INTO page_reading (rules_id, page_id, outcomes)
      SELECT ?, id, ? FROM result_page WHERE id = ?`,
  )
  const put = db.prepare('INSERT OR REPLACE INTO evidence (rules_id, pages, at, answer) VALUES (?, ?, ?, ?)')
  const get = db.prepare<[number, string], { at: number; answer: string }>(
    'SELECT at, answer FROM evidence WHERE rules_id = ? AND pages = ?',
  )
  return {
    /** The number under which readings by some thresholds are kept. @param key what makes them the same. */
    rules: db.transaction((key: string, at: number): number => {
      const { id } = use.get(key, at)!
      forget.run()
      return id
    }),
    knownRules: (key: string): number | null => find.get(key)?.id ?? null,
    saveReadings: relaxedTransaction(db, (rules: number, readings: readonly SavedReading[]) => {
      for (const { pageId, outcomes } of readings) add.run(rules, outcomes, pageId)
    }),
    saveAnswer: (rules: number, pages: string, at: number, answer: unknown): void => {
      put.run(rules, pages, at, JSON.stringify(answer))
    },
    /** The last answer about some pages; `null` where there is none. */
    answer(rules: number, pages: string): { at: number; answer: unknown } | null {
      const found = get.get(rules, pages)
      return found ? { at: found.at, answer: JSON.parse(found.answer) as unknown } : null
    },
  }
}

import { group } from 'd3-array'
import { looksToDrop } from '../../core/rivals/keepLooks'
import { relaxedTransaction, type Db } from './open'

/** Phrases whose pages are looked through in one go. */
const STEP = 200

/**
 * Drops old result pages that no history needs, with their seats, some phrases at a time so that no request waits. The page that
 * stands for a phrase stays, and so does everything a person wrote.
 * @returns how many pages were dropped.
 */
export async function thinPages(db: Db, now: number = Date.now()): Promise<number> {
  const last = db.prepare<[], number | null>('SELECT max(id) FROM phrase').pluck().get() ?? 0
  const pages = db.prepare<[number, number], { id: number, phrase_id: number, region: string, kind: string, at: number }>('SELECT id, phrase_id, region, kind, at FROM result_page WHERE phrase_id BETWEEN ? AND ? AND NOT EXISTS (SELECT 1 FROM standing_page WHERE page_id = result_page.id)')
  const drop = db.prepare('DELETE FROM result_page WHERE id = ?')
  const dropAll = relaxedTransaction(db, (ids: readonly number[]) => { for (const id of ids) drop.run(id) })
  let dropped = 0
  for (let from = 1; from <= last && db.open; from += STEP) {
    const due = [...group(pages.all(from, from + STEP - 1), page => `${page.phrase_id} ${page.region} ${page.kind}`).values()]
      .flatMap(list => looksToDrop(list.map(page => page.at), now).map(i => list[i]!.id))
    if (due.length) dropAll(due)
    dropped += due.length
    await new Promise(resolve => setImmediate(resolve))
  }
  return dropped
}

import { DAY } from '../../core/time'
import { group } from 'd3-array'
import { setImmediate as nextTurn } from 'node:timers/promises'
import { looksToDrop } from '../../core/rivals/thinning'
import { relaxedTransaction, type Db } from './open'

/** Phrases looked through in one go, so that no request waits. */
const STEP = 200
/** Pages given back to the disk in one go, and free ones that stay for what comes next. */
const GIVEN_BACK = 100
const SPARE = 2000
/** What is only asked for to be shown is asked for again after so long. */
const INTEREST_MS = 180 * DAY

/** Observations that were dropped. */
export interface Thinned {
  pages: number
  figures: number
  interest: number
}

export type Retention = ReturnType<typeof retention>

/**
 * What of the observations is kept: everything young, less the older it is. What stands for a phrase stays, and so does
 * everything a person wrote.
 */
export function retention(db: Db) {
  const lastPhrase = db.prepare<[], number | null>('SELECT max(id) FROM phrase').pluck()
  const pages = db.prepare<
    [number, number],
    { id: number; phrase_id: number; region: string; kind: string; at: number }
  >(
    `SELECT id, phrase_id, region, kind, at FROM result_page
      WHERE phrase_id BETWEEN ? AND ? AND NOT EXISTS (SELECT 1 FROM standing_page WHERE page_id = result_page.id)`,
  )
  const dropPage = db.prepare('DELETE FROM result_page WHERE id = ?')
  const past = db.prepare<[number, number], { phrase_id: number; region: string; source_id: number; at: number }>(
    'SELECT phrase_id, region, source_id, at FROM figure_past WHERE phrase_id BETWEEN ? AND ?',
  )
  const dropPast = db.prepare('DELETE FROM figure_past WHERE phrase_id = ? AND region = ? AND source_id = ? AND at = ?')
  const dropInterest = db.prepare('DELETE FROM region_interest WHERE phrase_id BETWEEN ? AND ? AND at < ?')

  const step = relaxedTransaction(db, (from: number, now: number): Thinned => {
    const to = from + STEP - 1
    const unneeded = <Row extends { at: number }>(rows: Row[], of: (row: Row) => string) =>
      [...group(rows, of).values()].flatMap(list =>
        looksToDrop(
          list.map(row => row.at),
          now,
        ).map(i => list[i]!),
      )
    const oldPages = unneeded(pages.all(from, to), page => `${page.phrase_id} ${page.region} ${page.kind}`)
    for (const { id } of oldPages) dropPage.run(id)
    const oldFigures = unneeded(past.all(from, to), row => `${row.phrase_id} ${row.region} ${row.source_id}`)
    for (const { phrase_id, region, source_id, at } of oldFigures) dropPast.run(phrase_id, region, source_id, at)
    return {
      pages: oldPages.length,
      figures: oldFigures.length,
      interest: dropInterest.run(from, to, now - INTEREST_MS).changes,
    }
  })

  /** Makes the file smaller by what is free in it, unless it comes from before files could be. */
  async function giveBack(): Promise<void> {
    const free = () => Number(db.pragma('freelist_count', { simple: true }))
    while (db.open && free() > SPARE) {
      const before = free()
      db.exec(`PRAGMA incremental_vacuum(${GIVEN_BACK})`)
      if (free() === before) return
      await nextTurn()
    }
  }

  return {
    /**
     * Drops what no history needs: result pages with their seats, what sources told before, interest by region that has
     * aged.
     */
    async thin(now: number = Date.now()): Promise<Thinned> {
      const all: Thinned = { pages: 0, figures: 0, interest: 0 }
      const last = lastPhrase.get() ?? 0
      for (let from = 1; from <= last && db.open; from += STEP) {
        const { pages, figures, interest } = step(from, now)
        all.pages += pages
        all.figures += figures
        all.interest += interest
        await nextTurn()
      }
      await giveBack()
      return all
    },
  }
}

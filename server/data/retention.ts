import { DAY } from '../../core/time'
import { group } from 'd3-array'
import { setImmediate as nextTurn } from 'node:timers/promises'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { looksToDrop, WHOLE } from '../../core/rivals/thinning'
import { relaxedTransaction, type Db } from './open'

/** Phrases looked through and pages dropped in one go, so that no request waits: a page has up to sixty seats. */
const STEP = 50
const PAGES_AT_ONCE = 8
/** Pages given back to the disk in one go, and free ones that stay for what comes next. */
const GIVEN_BACK = 100
const SPARE = 2000
/** What is only asked for to be shown is asked for again after so long. */
const INTEREST_MS = 180 * DAY

/** Observations that were dropped, and pages of which only page one stayed. */
export interface Thinned {
  pages: number
  shortened: number
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
    { id: number; phrase_id: number; region: string; kind: string; at: number; depth: number }
  >(
    `SELECT id, phrase_id, region, kind, at, depth FROM result_page
      WHERE phrase_id BETWEEN ? AND ? AND NOT EXISTS (SELECT 1 FROM standing_page WHERE page_id = result_page.id)`,
  )
  // One that came to stand for its phrase meanwhile stays.
  const dropPage = db.prepare(
    'DELETE FROM result_page WHERE id = ? AND NOT EXISTS (SELECT 1 FROM standing_page WHERE page_id = result_page.id)',
  )
  const shorten = db.prepare(
    `UPDATE result_page SET depth = ${PAGE_SEATS},
        more = more OR EXISTS (SELECT 1 FROM seat WHERE page_id = result_page.id AND rank > ${PAGE_SEATS})
      WHERE id = ? AND NOT EXISTS (SELECT 1 FROM standing_page WHERE page_id = result_page.id)`,
  )
  const dropSeats = db.prepare(`DELETE FROM seat WHERE page_id = ? AND rank > ${PAGE_SEATS}`)
  const past = db.prepare<[number, number], { phrase_id: number; region: string; source_id: number; at: number }>(
    'SELECT phrase_id, region, source_id, at FROM figure_past WHERE phrase_id BETWEEN ? AND ?',
  )
  const dropPast = db.prepare('DELETE FROM figure_past WHERE phrase_id = ? AND region = ? AND source_id = ? AND at = ?')
  const dropInterest = db.prepare('DELETE FROM region_interest WHERE phrase_id BETWEEN ? AND ? AND at < ?')

  const unneeded = <Row extends { at: number }>(rows: Row[], now: number, of: (row: Row) => string) =>
    [...group(rows, of).values()].flatMap(list =>
      looksToDrop(
        list.map(row => row.at),
        now,
      ).map(i => list[i]!),
    )
  const dropPages = relaxedTransaction(db, (ids: readonly number[]): number =>
    ids.reduce((dropped, id) => dropped + dropPage.run(id).changes, 0),
  )
  const shortenPages = relaxedTransaction(db, (ids: readonly number[]): void => {
    for (const id of ids) if (shorten.run(id).changes) dropSeats.run(id)
  })
  const dropFigures = relaxedTransaction(
    db,
    (from: number, to: number, now: number): Pick<Thinned, 'figures' | 'interest'> => {
      const old = unneeded(past.all(from, to), now, row => `${row.phrase_id} ${row.region} ${row.source_id}`)
      for (const { phrase_id, region, source_id, at } of old) dropPast.run(phrase_id, region, source_id, at)
      return { figures: old.length, interest: dropInterest.run(from, to, now - INTEREST_MS).changes }
    },
  )

  /** Their numbers, a few at a time, for as long as the file is open. */
  function* inGoes(list: Iterable<{ id: number }>): Generator<number[]> {
    const ids = Array.from(list, ({ id }) => id)
    for (let i = 0; i < ids.length && db.open; i += PAGES_AT_ONCE) yield ids.slice(i, i + PAGES_AT_ONCE)
  }

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
     * Drops what no history needs: result pages with their seats, seats beyond page one of those that are not young,
     * what sources told before, interest by region that has aged.
     */
    async thin(now: number = Date.now()): Promise<Thinned> {
      const all: Thinned = { pages: 0, shortened: 0, figures: 0, interest: 0 }
      const last = lastPhrase.get() ?? 0
      for (let from = 1; from <= last && db.open; from += STEP) {
        const to = from + STEP - 1
        const { figures, interest } = dropFigures(from, to, now)
        all.figures += figures
        all.interest += interest
        const kept = pages.all(from, to)
        const old = new Set(unneeded(kept, now, page => `${page.phrase_id} ${page.region} ${page.kind}`))
        const deep = kept.filter(page => !old.has(page) && page.depth > PAGE_SEATS && now - page.at > WHOLE)
        for (const ids of inGoes(old)) {
          all.pages += dropPages(ids)
          await nextTurn()
        }
        for (const ids of inGoes(deep)) {
          shortenPages(ids)
          all.shortened += ids.length
          await nextTurn()
        }
        await nextTurn()
      }
      await giveBack()
      return all
    },
  }
}

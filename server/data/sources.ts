import { isStale } from '../../core/demand/stale'
import type { SourceLine } from '../../shared/lists'
import { resolvePreferredSource } from './preferredSource'
import { relaxedTransaction, type Db } from './open'

/** Phrases for which the believed source is chosen anew in one transaction. */
const BATCH = 1000
/** Ids looked through in one go for phrases that several sources know. */
const RANGE = 5000

export type SourceStore = ReturnType<typeof sourceStore>

/** The sources of figures, in the order of preference a person has set. */
export function sourceStore(
  db: Db,
  changed: (ids: readonly number[], byPerson?: boolean) => void = () => undefined,
  now: () => number = Date.now,
) {
  const all = db.prepare<
    [],
    { id: number; name: string; kind: SourceLine['kind']; figures: number; newest: number | null }
  >('SELECT id, name, kind, figures, newest FROM source ORDER BY place, id')
  const setPlace = db.prepare('UPDATE source SET place = ? WHERE id = ?')
  const lastPhrase = db.prepare<[], number | null>('SELECT max(id) FROM phrase').pluck()
  const shared = db
    .prepare<[number, number], [id: number, region: string]>(
      `SELECT phrase_id, region FROM figure WHERE phrase_id BETWEEN ? AND ? GROUP BY phrase_id, region
        HAVING count(*) > 1`,
    )
    .raw()
  const believe = resolvePreferredSource(db)
  const chooseAll = relaxedTransaction(db, (list: readonly [number, string][]) => {
    for (const [id, region] of list) believe(id, region)
  })
  const order = db.transaction((ids: readonly number[]) => {
    const known = all.all().map(row => row.id)
    const wanted = [...ids.filter(id => known.includes(id)), ...known.filter(id => !ids.includes(id))]
    wanted.forEach((id, i) => setPlace.run(i + 1, id))
  })

  return {
    list: (): SourceLine[] => all.all().map(row => ({ ...row, stale: isStale(row.newest, now()) })),
    /**
     * Puts sources in an order; every phrase that several of them know takes its figure from the first. Other work gets
     * its turn in between.
     */
    async order(ids: readonly number[]): Promise<void> {
      order.immediate(ids)
      const last = lastPhrase.get() ?? 0
      for (let from = 0; from <= last; from += RANGE) {
        const due = shared.all(from, from + RANGE - 1)
        for (let at = 0; at < due.length; at += BATCH) {
          const part = due.slice(at, at + BATCH)
          chooseAll(part)
          changed(
            part.map(([id]) => id),
            true,
          )
          await new Promise(resolve => setImmediate(resolve))
        }
        await new Promise(resolve => setImmediate(resolve))
      }
    },
  }
}

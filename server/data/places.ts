import type { Place } from '../../shared/lists'
import { PlaceNames } from '../../core/demand/placeNames'
import { relaxedTransaction, settle, type Db } from './open'

export type PlaceStore = ReturnType<typeof placeStore>

/** Towns and other places that are words of a search, with their population, by region. */
export function placeStore(db: Db) {
  const put = db.prepare(
    `INSERT INTO place (region, name, population, source) VALUES (?, ?, ?, ?) ON CONFLICT (region, name) DO UPDATE
      SET population = coalesce(excluded.population, population), source = excluded.source`,
  )
  const found = db.prepare<
    { region: string | null; least: number | null; most: number | null; name: string },
    Place
  >(`SELECT * FROM place
    WHERE (@region IS NULL OR region = @region) AND (@least IS NULL OR population >= @least) AND (@most IS NULL OR population <= @most)
    AND name LIKE @name ESCAPE '\\' ORDER BY population DESC NULLS LAST, name LIMIT 5000`)
  const regions = db.prepare<[], { region: string; n: number }>(
    'SELECT region, count(*) AS n FROM place GROUP BY region ORDER BY region',
  )
  const drop = db.prepare('DELETE FROM place WHERE source = ?')
  const names = db.prepare<[], [name: string]>('SELECT DISTINCT name FROM place').raw()
  const namesAfter = db.prepare<[number], { id: number; name: string }>(
    'SELECT id, name FROM place WHERE id > ? ORDER BY id LIMIT 2000',
  )
  let known: PlaceNames | null = null
  const save = relaxedTransaction(
    db,
    (list: readonly { region: string; name: string; population: number | null }[], source: string) => {
      for (const { region, name, population } of list) put.run(region, name, population, source)
    },
  )
  return {
    /** Keeps places; one known by region and name takes the new population. 2,000 at most in one go. */
    save(list: readonly { region: string; name: string; population: number | null }[], source: string): void {
      save(list, source)
      if (known) for (const { name } of list) known.add(name)
    },
    /** Puts on disk what was saved so far. */
    settle: () => {
      settle(db)
    },
    /** Reads all names some thousand at a time, so that no request waits for it. */
    async loadNames(): Promise<void> {
      const loaded = new PlaceNames()
      for (let last = 0, list = namesAfter.all(last); list.length; list = namesAfter.all(last)) {
        for (const { id, name } of list) {
          loaded.add(name)
          last = id
        }
        await new Promise(resolve => setImmediate(resolve))
        if (!db.open) return
      }
      known ??= loaded
    },
    /** All names, to be found in phrases. */
    names: (): PlaceNames => (known ??= new PlaceNames(names.all().map(([name]) => name))),
    /** Places of a population range, the largest first; those of unknown population only where no bound is given. */
    find: ({
      region,
      minPopulation,
      maxPopulation,
      contains = '',
    }: {
      region?: string
      minPopulation?: number
      maxPopulation?: number
      contains?: string
    }): Place[] =>
      found.all({
        region: region ?? null,
        least: minPopulation ?? null,
        most: maxPopulation ?? null,
        name: `%${contains.replace(/[\\%_]/gu, '\\$&')}%`,
      }),
    regions: () => regions.all(),
    /** Deletes the places of a source. */
    forget(source: string): number {
      known = null
      return drop.run(source).changes
    },
  }
}

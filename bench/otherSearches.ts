import Database from 'better-sqlite3'
import MiniSearch from 'minisearch'
import { readPhrase } from '../core/text/match'
import { times } from './measure'

/** The same question to FTS5, plainly ordered by volume, and to MiniSearch with neither prefix nor fuzziness. */
export async function otherSearches(
  texts: { id: number; text: string; volume: number }[],
  { seeds, withMiniSearch }: { seeds: readonly string[]; withMiniSearch: boolean },
): Promise<{ fts5: number[]; mini: number[] | null }> {
  const db = new Database(':memory:')
  db.exec(
    "CREATE TABLE p (id INTEGER PRIMARY KEY, text TEXT, volume REAL); CREATE VIRTUAL TABLE w USING fts5(text, content='', detail=none)",
  )
  const [add, addWords] = [
    db.prepare('INSERT INTO p VALUES (?, ?, ?)'),
    db.prepare('INSERT INTO w (rowid, text) VALUES (?, ?)'),
  ]
  db.transaction(() => {
    for (const { id, text, volume } of texts) {
      add.run(id, text, volume)
      addWords.run(id, text)
    }
  })()
  const top = db.prepare(
    'SELECT p.id, p.text, p.volume FROM w JOIN p ON p.id = w.rowid WHERE w MATCH ? ORDER BY p.volume DESC LIMIT 200',
  )
  const match = (seed: string) =>
    readPhrase(seed, 'en')
      .norms.map(norm => `"${norm}"`)
      .join(' AND ')
  const fts5 = (await Promise.all(seeds.map(seed => times(2, 1, () => top.all(match(seed)))))).flat()
  db.close()
  if (!withMiniSearch) return { fts5, mini: null }
  const mini = new MiniSearch<{ id: number; text: string; volume: number }>({
    fields: ['text'],
    storeFields: ['volume'],
    searchOptions: { prefix: false, fuzzy: false, combineWith: 'AND' },
  })
  mini.addAll(texts)
  const asked = (
    await Promise.all(
      seeds.map(seed =>
        times(2, 1, () =>
          mini
            .search(seed)
            .sort((a, b) => Number(b.volume) - Number(a.volume))
            .slice(0, 200),
        ),
      ),
    )
  ).flat()
  return { fts5, mini: asked }
}

import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { HELD, spaceOf } from '../../../../server/data/space'
import { phraseStore } from '../../../../server/data/phrases'
import { freshData, temporaryFolder } from '../files'

const folder = temporaryFolder()

test('every table is counted as something, and all bytes of the file are', () => {
  const db = freshData(folder)
  const tables = db
    .prepare<[], string>("SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite%'")
    .pluck()
    .all()
  expect(tables.filter(name => !(name in HELD))).toEqual([])
  expect(Object.keys(HELD).filter(name => !tables.includes(name))).toEqual([])
  phraseStore(db).save(
    Array.from({ length: 3000 }, (_, i) => ({ phrase: `part ${i}`, region: 'GB', volume: i })),
    'en',
    { name: 'list', kind: 'import' },
    0,
  )
  const kept = join(folder, 'index.snapshot')
  const { index, ...space } = spaceOf(db, kept)
  expect(index).toBe(0)
  writeFileSync(kept, 'x'.repeat(1234))
  expect(spaceOf(db, kept).index).toBe(1234)
  expect(space.figures).toBeGreaterThan(space.texts)
  expect(Object.values(space).reduce((sum, bytes) => sum + bytes)).toBe(
    Number(db.pragma('page_count', { simple: true })) * Number(db.pragma('page_size', { simple: true })),
  )
})

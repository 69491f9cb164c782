import Database from 'better-sqlite3'
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { makeBackup } from '../../../../server/data/backups'
import { briefStore } from '../../../../server/data/briefs'
import { openUserData, type Db } from '../../../../server/data/open'
import { startFileWork, type FileWork } from '../../../../server/threads/startFileWork'
import { builtThread } from '../builtThread'
import { MIGRATIONS, temporaryFolder } from '../files'

const folder = temporaryFolder()
const file = join(folder, 'data.sqlite')
let entry: string
let db: Db
let work: FileWork

beforeAll(() => {
  entry = builtThread('fileThread')
  db = openUserData(file, { migrations: MIGRATIONS })
  work = startFileWork(entry, file, `${file}.index`)
})
afterAll(async () => {
  await work.close()
  db.close()
})

test('a copy made while others write is whole, of one moment, and has what was saved before it', async () => {
  const briefs = briefStore(db)
  const { id } = briefs.create({ topic: 'Before' })
  // Several steps of copying.
  for (let i = 0; i < 400; i++) briefs.create({ topic: 'Long', description: 'long '.repeat(12_000) })
  const both = db.transaction((n: number) => {
    briefs.create({ topic: `First of ${n}` })
    briefs.create({ topic: `Second of ${n}` })
  })
  const to = join(folder, 'copy.sqlite')
  let done = false
  const copied = work.copy(to).finally(() => {
    done = true
  })
  for (let n = 0; !done; n++) {
    both(n)
    await new Promise(resolve => setImmediate(resolve))
  }
  await copied
  const copy = new Database(to, { readonly: true })
  try {
    expect(copy.pragma('integrity_check', { simple: true })).toBe('ok')
    expect(briefStore(copy).get(id)!.fields.topic).toBe('Before')
    const topics = briefStore(copy)
      .list()
      .lines.map(({ topic }) => topic.split(' ')[0])
    expect(topics.filter(word => word === 'First')).toHaveLength(topics.filter(word => word === 'Second').length)
  } finally {
    copy.close()
  }
})

test('why it cannot be copied comes out of the thread with its code, and a backup says it plainly', async () => {
  const taken = join(folder, 'a folder')
  mkdirSync(taken)
  await expect(work.copy(taken)).rejects.toMatchObject({ code: 'SQLITE_CANTOPEN' })
  await expect(makeBackup(() => work.copy(taken), file, 'by-hand')).rejects.toMatchObject({ fault: 'not-writable' })
  // The thread is there for the next one.
  expect((await work.space()).texts).toBeGreaterThan(0)
})

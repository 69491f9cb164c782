import Database from 'better-sqlite3'
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import {
  backupDue,
  backupFolder,
  listBackups,
  makeBackup,
  restoreBackup,
  usableBackup,
} from '../../../../server/data/backups'
import { lockFolder } from '../../../../server/data/folderLock'
import { openUserData } from '../../../../server/data/open'
import { MIGRATIONS, temporaryFolder } from '../files'

const folder = temporaryFolder()
const DAY = 86_400_000
const AT = Date.UTC(2026, 4, 4, 12)

function userFile(name: string) {
  const file = join(folder, name, 'fonetra.sqlite')
  mkdirSync(dirname(file))
  return { file, open: () => openUserData(file, { migrations: MIGRATIONS }) }
}
const place = (db: Database.Database) => db.prepare('SELECT name FROM place ORDER BY id').pluck().all()

test('a backup holds what was committed, also while the file goes on being written; seven of a kind stay', async () => {
  const { file, open } = userFile('kept')
  const db = open()
  db.exec("INSERT INTO place (region, name, source) VALUES ('GB', 'Marrowby', 'test')")
  for (let day = 0; day < 9; day++) await makeBackup(to => db.backup(to), file, 'daily', AT + day * DAY)
  await makeBackup(to => db.backup(to), file, 'by-hand', AT)
  const list = listBackups(file)
  expect(list.filter(each => each.kind === 'daily').map(each => each.at)).toEqual(
    [8, 7, 6, 5, 4, 3, 2].map(day => AT + day * DAY),
  )
  expect(list).toHaveLength(8)
  const copy = new Database(join(backupFolder(file), list[0]!.name), { readonly: true })
  expect(place(copy)).toEqual(['Marrowby'])
  copy.close()
  db.close()
})

test('one a day is due, and a clock that was wrong does not put it off for ever', async () => {
  const { file, open } = userFile('due')
  const db = open()
  expect(backupDue(file, AT)).toBe(true)
  await makeBackup(to => db.backup(to), file, 'by-hand', AT)
  expect(backupDue(file, AT)).toBe(true)
  await makeBackup(to => db.backup(to), file, 'daily', AT)
  expect(backupDue(file, AT + DAY - 1)).toBe(false)
  expect(backupDue(file, AT + DAY)).toBe(true)
  expect(backupDue(file, AT - 5)).toBe(true)
  db.close()
})

test('restoring puts the copy in place and keeps what was there, its log included', async () => {
  const { file, open } = userFile('restored')
  const db = open()
  const add = (name: string) => {
    db.prepare("INSERT INTO place (region, name, source) VALUES ('GB', ?, 'test')").run(name)
  }
  add('Marrowby')
  const { name } = await makeBackup(to => db.backup(to), file, 'by-hand', AT)
  add('Fenwold')
  db.close()
  await restoreBackup(file, usableBackup(file, name, 99), AT + 1)
  const back = open()
  expect(place(back)).toEqual(['Marrowby'])
  back.close()
  const before = listBackups(file).find(each => each.kind === 'before-restore')!
  await restoreBackup(file, usableBackup(file, before.name, 99), AT + 2)
  const again = open()
  expect(place(again)).toEqual(['Marrowby', 'Fenwold'])
  again.close()
})

test.each([
  ['not there', 'fonetra-2026-05-04T12-00-00-009Z-daily.sqlite', null, /no longer exists/u],
  ['outside the folder', '../fonetra.sqlite', null, /no longer exists/u],
  [
    'no database',
    'fonetra-2026-05-04T12-00-00-001Z-daily.sqlite',
    'nothing of the kind',
    /cannot be read\. Nothing was changed/u,
  ],
])('a backup that is %s changes nothing', (_, name, content, message) => {
  const { file, open } = userFile(`unusable-${_.replaceAll(' ', '-')}`)
  open().close()
  if (content) {
    mkdirSync(backupFolder(file))
    writeFileSync(join(backupFolder(file), name), content)
  }
  expect(() => usableBackup(file, name, 99)).toThrow(message)
  expect(readdirSync(dirname(file)).filter(each => each.includes('restoring'))).toEqual([])
  open().close()
})

test('one from a newer program is refused', async () => {
  const { file, open } = userFile('newer')
  const db = open()
  const { name } = await makeBackup(to => db.backup(to), file, 'by-hand', AT)
  db.close()
  expect(() => usableBackup(file, name, 1)).toThrow(/newer Fonetra/u)
})

test('a folder is held by one at a time, and said by whom', () => {
  const lock = join(folder, 'held', 'fonetra.lock')
  const giveBack = lockFolder(lock, 4310)
  expect(() => lockFolder(lock, 4311)).toThrow(`process ${process.pid}): open http://127.0.0.1:4310.`)
  giveBack()
  lockFolder(lock, null)()
  expect(existsSync(lock)).toBe(true)
})

test('a lock that cannot be written is told as such', () => {
  const file = join(folder, 'plain-file')
  writeFileSync(file, '')
  expect(() => lockFolder(join(file, 'fonetra.lock'), 1)).toThrow()
  mkdirSync(join(folder, 'a-folder.lock'))
  expect(() => lockFolder(join(folder, 'a-folder.lock'), 1)).toThrow(/cannot be opened for writing/u)
})

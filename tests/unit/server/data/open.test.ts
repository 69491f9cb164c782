import Database from 'better-sqlite3'
import { cpSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { listBackups, backupFolder } from '../../../../server/data/backups'
import { migrationsOf, openUserData, openUserFile } from '../../../../server/data/open'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { videoStore } from '../../../../server/data/videos'
import { MIGRATIONS, temporaryFolder } from '../files'

const folder = temporaryFolder()
const schemaOf = (file: string) => {
  const db = new Database(file, { readonly: true })
  try {
    return db.prepare("SELECT type, name, sql FROM sqlite_master WHERE name NOT LIKE 'sqlite_%' ORDER BY name").all()
  } finally {
    db.close()
  }
}

test('durability is set on the connection, and foreign keys hold', () => {
  const db = openUserData(join(folder, 'pragmas.sqlite'), { migrations: MIGRATIONS })
  expect(db.pragma('journal_mode', { simple: true })).toBe('wal')
  // 2 is FULL.
  expect(db.pragma('synchronous', { simple: true })).toBe(2)
  expect(() =>
    db.prepare("INSERT INTO brief (id, workspace_id, created_at, updated_at) VALUES ('x', 'nowhere', 0, 0)").run(),
  ).toThrow(/FOREIGN KEY/u)
  db.close()
})

test('from every earlier version the file comes to the same schema, with a backup made before', async () => {
  const all = migrationsOf(MIGRATIONS)
  // A next one that does not exist yet shows that the path works for the first version too.
  const next = join(folder, 'next')
  cpSync(MIGRATIONS, next, { recursive: true })
  writeFileSync(
    join(next, `${String(all.length + 1).padStart(3, '0')}-next.sql`),
    'CREATE TABLE next (id INTEGER PRIMARY KEY);',
  )
  const whole = join(folder, 'whole.sqlite')
  openUserData(whole, { migrations: next }).close()
  for (let version = 1; version <= all.length; version++) {
    const early = join(folder, `first-${version}`)
    mkdirSync(early)
    for (const { name } of all.slice(0, version)) cpSync(join(MIGRATIONS, name), join(early, name))
    const file = join(folder, `from-${version}`, 'fonetra.sqlite')
    const old = openUserData(file, { migrations: early })
    old.prepare("INSERT INTO workspace (id, name, time_zone, created_at) VALUES ('w', 'Shed', 'UTC', 1)").run()
    old.close()
    const db = await openUserFile(file, { migrations: next })
    expect(db.prepare('SELECT name FROM workspace').all()).toEqual([{ name: 'Shed' }])
    db.close()
    expect(schemaOf(file)).toEqual(schemaOf(whole))
    const [copy] = listBackups(file)
    expect(copy!.kind).toBe('before-update')
    expect(schemaOf(join(backupFolder(file), copy!.name))).not.toEqual(schemaOf(file))
  }
})

test('what the first version kept of pages and videos is there in the newest', () => {
  const early = join(folder, 'spine')
  mkdirSync(early)
  cpSync(join(MIGRATIONS, '001-spine.sql'), join(early, '001-spine.sql'))
  const file = join(folder, 'kept.sqlite')
  const old = openUserData(file, { migrations: early })
  old.exec(`INSERT INTO phrase (id, language, text, words) VALUES (1, 'en', 'bike chain', 2);
    INSERT INTO source VALUES (1, 'demand data', 'service', 1);
    INSERT INTO figure (phrase_id, region, source_id, counts, at, volume) VALUES (1, 'GB', 1, 1, 5, 900);
    INSERT INTO channel VALUES ('c', 'Shed', 100, 5);
    INSERT INTO video VALUES (1, 'v', 'c', 'Bike chain', 'Text', '["a"]', 0, 60, 5);
    INSERT INTO result_page VALUES (1, 1, 'GB', 'video site', 5, 20, 1, 3, 1, 2.5, 1, 2, 3, 1);
    INSERT INTO seat VALUES (1, 1, 1, 100, 777, 5, 1, 0.5);
    INSERT INTO standing_page VALUES (1, 'GB', 1, 2.5, 3, 1)`)
  old.close()
  const db = openUserData(file, { migrations: MIGRATIONS })
  const results = resultStore(db)
  expect(results.seats(results.latest(1, 'GB')!, 20)).toMatchObject([
    { code: 'v', views: 777, strength: 0.5, targeting: null },
  ])
  expect(videoStore(db).video('v')).toMatchObject({ views: 777, thumbnail: null })
  // Strengths are packed for the chance when the file is first used.
  expect(phraseStore(db).known('bike chain', 'GB', 'en')).toMatchObject({
    volume: 900,
    strengths: [0.5],
    seasonStrength: null,
  })
  expect(db.pragma('foreign_key_check')).toEqual([])
  db.close()
})

test('a migration that fails leaves the file as it was', () => {
  const broken = join(folder, 'broken')
  cpSync(MIGRATIONS, broken, { recursive: true })
  const file = join(folder, 'halfway.sqlite')
  openUserData(file, { migrations: MIGRATIONS }).close()
  const number = migrationsOf(MIGRATIONS).length + 1
  writeFileSync(
    join(broken, `${String(number).padStart(3, '0')}-broken.sql`),
    'CREATE TABLE half (id); CREATE TABLE nonsense nonsense;',
  )
  const before = schemaOf(file)
  expect(() => openUserData(file, { migrations: broken })).toThrow(/syntax/u)
  expect(schemaOf(file)).toEqual(before)
})

test('a file of a newer version is refused with what to do', () => {
  const file = join(folder, 'newer.sqlite')
  const db = openUserData(file, { migrations: MIGRATIONS })
  db.pragma('user_version = 99')
  db.close()
  expect(() => openUserData(file, { migrations: MIGRATIONS })).toThrow(/newer Fonetra.*--data/u)
})

test.each([
  [
    'no database at all',
    'These are notes about bicycles. '.repeat(200),
    /damaged or is not a Fonetra file\. Restore a backup/u,
  ],
  ['cut off in its header', 'SQLite format 3\0abc'.padEnd(700, 'x'), /damaged or is not a Fonetra file/u],
])('a file that is %s is told plainly', async (name, content, message) => {
  const file = join(folder, `${name.replaceAll(' ', '-')}.sqlite`)
  writeFileSync(file, content)
  expect(() => openUserData(file, { migrations: MIGRATIONS })).toThrow(message)
  await expect(openUserFile(file, { migrations: MIGRATIONS })).rejects.toThrow(message)
})

test('a file that another program locks, and one that cannot be opened, are told plainly', () => {
  const file = join(folder, 'locked.sqlite')
  const other = new Database(file)
  other.exec('CREATE TABLE t (id); BEGIN EXCLUSIVE')
  expect(() => openUserData(file, { migrations: MIGRATIONS, patience: 10 })).toThrow(
    /locked by another program\. Close that program/u,
  )
  other.close()
  mkdirSync(join(folder, 'folder.sqlite'))
  expect(() => openUserData(join(folder, 'folder.sqlite'), { migrations: MIGRATIONS })).toThrow(
    /cannot be opened for writing/u,
  )
})

test('numbers without gaps', () => {
  const gap = join(folder, 'gap')
  mkdirSync(gap)
  writeFileSync(join(gap, '002-late.sql'), '')
  expect(() => migrationsOf(gap)).toThrow(/should have number 1/u)
  rmSync(gap, { recursive: true })
})

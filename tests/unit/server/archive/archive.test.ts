import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync, type Unzipped } from 'fflate'
import { v7 as uuid } from 'uuid'
import { LEFT_BEHIND, archiveTables } from '../../../../server/archive/tables'
import { readArchive, type ArchiveEvent } from '../../../../server/archive/readArchive'
import { writeArchive } from '../../../../server/archive/writeArchive'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { openUserData, type Db } from '../../../../server/data/open'
import { picturePath, pictureFolder } from '../../../../server/data/pictures'
import { MIGRATIONS, temporaryFolder } from '../files'

const folder = temporaryFolder()
const AT = Date.UTC(2026, 4, 4, 12)
const PICTURE = Buffer.from('not really a picture')
const PICTURE_FILE = `${createHash('sha256').update(PICTURE).digest('hex')}.png`

const rowsOf = (db: Db) =>
  Object.fromEntries(
    archiveTables(db).map(({ name }) => [name, db.prepare<[], unknown[]>(`SELECT * FROM ${name}`).raw().all()]),
  )

/** A data file with a brief, its history, a list, figures with bytes, a picture and a key. */
function workedIn(name: string): { file: string; db: Db } {
  const file = join(folder, name, 'fonetra.sqlite')
  const db = openUserData(file, { migrations: MIGRATIONS })
  const briefs = briefStore(db, () => AT)
  const { id } = briefs.create({ topic: 'Bleeding a brake', title: 'Bleed — “quickly”\u2028✂️' })
  briefItemStore(db, () => AT).save(id, {
    ...{ id: uuid(), kind: 'candidate', revision: 0 },
    value: { title: 'Bleed it', pattern: null, state: 'open' },
  })
  briefs.create({ topic: 'Bleeding a brake', captions: 'WEBVTT\n\n00:00.000 --> 00:01.000\nHello' })
  db.exec(`INSERT INTO phrase (id, language, text, words) VALUES (7, 'en', 'bleed a brake', 3);
    INSERT INTO source (id, name, kind, place) VALUES (9, 'a table', 'import', 1);
    INSERT INTO history (phrase_id, region, source_id, months) VALUES (7, 'GB', 9, x'00ff10');
    INSERT INTO figure (phrase_id, region, source_id, counts, at, volume) VALUES (7, 'GB', 9, 1, 5, 12.5);
    INSERT INTO phrase_list (id, workspace_id, name, created_at, updated_at)
      SELECT 'list-1', id, 'Braking; slowly', 1, 2 FROM workspace LIMIT 1;
    INSERT INTO list_phrase VALUES ('list-1', 7, 1, 'mine', 3);
    INSERT INTO result_page (id, phrase_id, region, source, at, depth, complete, model_version)
      VALUES (3, 7, 'GB', 's', 5, 1, 1, 1);
    INSERT INTO standing_page (phrase_id, region, page_id, hurdle, strengths) VALUES (7, 'GB', 3, .1, x'7f');
    INSERT INTO chance_model VALUES ('GB', 's', 'en', 5, 1, 1, 0, 1, '{}', '[.1]', '{}');`)
  db.exec(
    "INSERT INTO access_key (id, name, role, salt, hash, created_at) VALUES ('k', 'Me', 'owner', x'01', x'02', 1)",
  )
  const path = picturePath(pictureFolder(file), PICTURE_FILE)
  mkdirSync(dirname(path), { recursive: true })
  writeFileSync(path, PICTURE)
  return { file, db }
}

async function saved(file: string): Promise<Buffer> {
  const pieces: Uint8Array[] = []
  for await (const { bytes } of writeArchive({ file }, AT)) pieces.push(bytes)
  return Buffer.concat(pieces)
}

let made = 0
async function readBack(bytes: Uint8Array): Promise<{ into: string; last: ArchiveEvent | undefined; beside: string }> {
  const place = join(folder, `back-${made++}`)
  mkdirSync(place)
  const [file, into, beside] = ['archive.zip', 'new.sqlite', 'fonetra.sqlite'].map(name => join(place, name)) as [
    string,
    string,
    string,
  ]
  writeFileSync(file, bytes)
  let last: ArchiveEvent | undefined
  for await (const event of readArchive({ file, into, beside, migrations: MIGRATIONS })) last = event
  return { into, last, beside }
}

/** The archive with some of its entries changed. */
function changed(bytes: Uint8Array, change: (entries: Unzipped) => void): Uint8Array {
  const entries = unzipSync(bytes)
  change(entries)
  return zipSync(entries)
}
const lines = (entries: Unzipped, table: string, edit: (text: string) => string) => {
  entries[`tables/${table}.jsonl`] = strToU8(edit(strFromU8(entries[`tables/${table}.jsonl`]!)))
}

test('every table but what belongs to this machine comes back as it was, with the pictures', async () => {
  const { file, db } = workedIn('whole')
  const { into, last, beside } = await readBack(await saved(file))
  const back = openUserData(into, { migrations: MIGRATIONS })
  expect(rowsOf(back)).toEqual(rowsOf(db))
  for (const name of LEFT_BEHIND)
    if (name !== 'index_snapshot') expect(back.prepare(`SELECT count(*) FROM ${name}`).pluck().get()).toBe(0)
  expect(back.prepare('SELECT count(*) FROM history').pluck().get()).toBe(1)
  expect(readFileSync(picturePath(pictureFolder(beside), PICTURE_FILE))).toEqual(PICTURE)
  expect(last).toMatchObject({ kind: 'ready', briefs: 2, pictures: 1 })
  db.close()
  back.close()
})

test('what is written while it is saved is not in it', async () => {
  const { file, db } = workedIn('moment')
  const pieces: Uint8Array[] = []
  const before = rowsOf(db)
  for await (const { bytes } of writeArchive({ file }, AT)) {
    if (!pieces.length) briefStore(db).create({ topic: 'Later' })
    pieces.push(bytes)
  }
  const { into } = await readBack(Buffer.concat(pieces))
  const back = openUserData(into, { migrations: MIGRATIONS })
  expect(rowsOf(back)).toEqual(before)
  db.close()
  back.close()
})

test('people and other programs find briefs, captions and lists in it by themselves', async () => {
  const { file, db } = workedIn('copies')
  const entries = unzipSync(await saved(file))
  db.close()
  const names = Object.keys(entries)
  expect(names.filter(name => /^briefs\/Bleeding-a-brake-.{6}\/brief\.json$/u.test(name))).toHaveLength(2)
  const captions = names.find(name => name.endsWith('captions.vtt'))!
  expect(strFromU8(entries[captions]!)).toContain('Hello')
  expect(strFromU8(entries['lists/Braking-slowly-list-1.csv']!)).toContain('bleed a brake,mine')
  expect(names.some(name => /key|session/u.test(name))).toBe(false)
})

test('an archive that is none, cut off, changed, of the future or odd is refused with the reason, and nothing stays', async () => {
  const { file, db } = workedIn('refused')
  const bytes = await saved(file)
  db.close()
  const refused = async (broken: Uint8Array, why: RegExp) => {
    await expect(readBack(broken)).rejects.toThrow(why)
    expect(readdirSync(join(folder, `back-${made - 1}`)).filter(name => name.startsWith('new'))).toEqual([])
  }
  await refused(Buffer.from('no archive'), /not a ZIP archive/u)
  await refused(bytes.subarray(0, bytes.length - 100), /not a ZIP archive/u)
  await refused(zipSync({ 'a.txt': strToU8('a') }), /has no about\.json/u)
  const about = (edit: (about: Record<string, unknown>) => void) =>
    changed(bytes, entries => {
      const said = JSON.parse(strFromU8(entries['about.json']!)) as Record<string, unknown>
      edit(said)
      entries['about.json'] = strToU8(JSON.stringify(said))
    })
  await refused(
    about(said => (said.kind = 'other')),
    /about\.json cannot be read/u,
  )
  await refused(
    about(said => (said.data = 999)),
    /newer Fonetra/u,
  )
  await refused(
    about(said => (said.tables = { ...(said.tables as object), 'x; DROP TABLE brief': 1 })),
    /does not know/u,
  )
  const rows = (table: string, edit: (text: string) => string) =>
    changed(bytes, entries => {
      lines(entries, table, edit)
    })
  await refused(
    rows('brief', text => text.split('\n').slice(1).join('\n')),
    /of 2 rows of brief it has 1/u,
  )
  await refused(
    rows('brief', () => '{"id":'),
    /tables\/brief\.jsonl, line 1/u,
  )
  await refused(
    rows('brief', text => text.replace('"id"', '"idd"')),
    /“idd” is not a column/u,
  )
  await refused(
    rows('brief', text => text.replace(/"created_at":\d+/u, '"created_at":"x"')),
    /“created_at” is not of type INTEGER/u,
  )
  await refused(
    rows('history', text => text.replace(/"months":\{[^}]*\}/u, '"months":"AP8="')),
    /“months” is not bytes/u,
  )
  await refused(
    rows('list_phrase', text => text.replace('"phrase_id":7', '"phrase_id":8')),
    /name others that are missing/u,
  )
  await refused(
    rows('brief_item', text => text.replace(/"value":"[^}]*\}"/u, '"value":"{"')),
    /a text in it cannot be read/u,
  )
  const flipped = Buffer.from(bytes)
  const at = flipped.indexOf(PICTURE)
  flipped[at] = flipped[at]! ^ 1
  await refused(flipped, /damaged: pictures/u)
  expect(existsSync(picturePath(pictureFolder(join(folder, `back-${made - 1}`, 'fonetra.sqlite')), PICTURE_FILE))).toBe(
    false,
  )
})

import { createHash } from 'node:crypto'
import { createWriteStream, existsSync, mkdirSync, statfsSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import { dirname } from 'node:path'
import { createInterface } from 'node:readline'
import { Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { crc32 } from 'node:zlib'
import { openPromise, type Entry, type ZipFile } from 'yauzl'
import { ITEM_KIND_NAMES } from '../../core/brief/items'
import { counted, inDigits } from '../../core/text/inWords'
import { PICTURE_NAME } from '../../core/thumbnail/picture'
import { WORKSPACE_KINDS, type WorkspaceKind } from '../../core/workspace/items'
import { removeData } from '../data/backups'
import { briefItemStore } from '../data/briefItems'
import { briefStore } from '../data/briefs'
import { publish } from '../data/onDisk'
import { makeDataAt, migrationsOf, openUserData, type Db } from '../data/open'
import { pictureFolder, picturePath } from '../data/pictures'
import { workspaceItemStore } from '../data/workspaceItems'
import { ABOUT_NAME, ARCHIVE_FORMAT, PICTURES, aboutSchema, tableEntry, type About } from './about'
import { rowValues } from './rows'
import { archiveTables, type ArchiveTable } from './tables'

export interface ArchiveQuestion {
  /** The archive. */
  file: string
  /** Where a data file is made of it; nothing is there yet. */
  into: string
  /** The data file beside which its pictures belong. */
  beside: string
  migrations: string
}
export type ArchiveEvent =
  { kind: 'progress'; part: number; said: string } | { kind: 'ready'; briefs: number; rows: number; pictures: number }

/** Rows that are put in between two looks at whether anybody still waits. */
const BATCH = 2000
/** More entries than a person's archive has. */
const MOST_ENTRIES = 300_000
const MOST_ABOUT = 100_000
/** A data file takes less room than its rows as text. */
const ROOM = 1.2

/** Something in the archive is not as it was packed; its message says what. */
class Damaged extends Error {
  constructor(what: string) {
    super(`The archive is damaged: ${what}`)
  }
}

/** @throws Damaged when the bytes of an entry are not those that were packed. */
async function* bytesOf(zip: ZipFile, entry: Entry): AsyncGenerator<Buffer> {
  const stream = (await zip.openReadStreamPromise(entry)) as AsyncIterable<Buffer>
  let sum = 0
  for await (const chunk of stream) {
    sum = crc32(chunk, sum)
    yield chunk
  }
  if (sum !== entry.crc32) throw new Damaged(`${entry.fileName} is not as it was saved.`)
}

async function textOf(zip: ZipFile, entry: Entry): Promise<string> {
  const chunks: Buffer[] = []
  for await (const chunk of bytesOf(zip, entry)) chunks.push(chunk)
  return Buffer.concat(chunks).toString('utf8')
}

async function aboutOf(zip: ZipFile, entries: ReadonlyMap<string, Entry>, newest: number): Promise<About> {
  const entry = entries.get(ABOUT_NAME)
  if (!entry || entry.uncompressedSize > MOST_ABOUT)
    throw new Error('This ZIP file is not a Fonetra archive: it has no about.json. Choose the file that Fonetra saved.')
  let about: About
  try {
    about = aboutSchema.parse(JSON.parse(await textOf(zip, entry)))
  } catch (error) {
    throw new Error('The archive’s about.json cannot be read, so the archive cannot be used.', { cause: error })
  }
  if (about.format > ARCHIVE_FORMAT || about.data > newest)
    throw new Error('This archive comes from a newer Fonetra. Update this one first.')
  return about
}

/** Puts the rows of a table in. @throws Error that names the line. */
async function* fill(db: Db, table: ArchiveTable, lines: AsyncIterable<string>): AsyncGenerator<number> {
  const names = [...table.columns.keys()]
  const insert = db.prepare(
    `INSERT INTO ${table.name} (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`,
  )
  let line = 0
  try {
    for await (const text of lines) {
      line++
      if (text) insert.run(rowValues(text, table))
      if (line % BATCH === 0) yield line
    }
  } catch (error) {
    if (error instanceof Damaged) throw error
    throw new Error(
      `The archive cannot be read: tables/${table.name}.jsonl, line ${inDigits(line)}: ${(error as Error).message}.`,
      { cause: error },
    )
  }
  yield line
}

/** @throws Error when something in it cannot be read as Fonetra reads it. */
function lookOver(db: Db): void {
  if ((db.pragma('foreign_key_check') as unknown[]).length || db.pragma('quick_check(1)', { simple: true }) !== 'ok')
    throw new Error('The archive cannot be used: rows in it name others that are missing.')
  const [briefs, briefItems, items] = [briefStore(db), briefItemStore(db), workspaceItemStore(db)]
  const idsOf = (table: string) => db.prepare<[], string>(`SELECT id FROM ${table}`).pluck().all()
  try {
    for (const id of idsOf('brief')) {
      briefs.get(id)
      for (const kind of ITEM_KIND_NAMES) briefItems.list(id, kind)
    }
    for (const id of idsOf('workspace'))
      for (const kind of Object.keys(WORKSPACE_KINDS) as WorkspaceKind[]) items.list(id, kind)
    db.prepare('SELECT json(value) FROM setting').all()
  } catch (error) {
    throw new Error(`The archive cannot be used: a text in it cannot be read (${(error as Error).message}).`, {
      cause: error,
    })
  }
}

/** Puts a picture beside the data. @throws Error when its bytes are not those it is named by. */
async function unpackPicture(zip: ZipFile, entry: Entry, folder: string): Promise<void> {
  const name = entry.fileName.slice(PICTURES.length)
  const path = picturePath(folder, name)
  if (existsSync(path)) return
  const part = `${path}.part`
  const hash = createHash('sha256')
  mkdirSync(dirname(path), { recursive: true })
  try {
    const hashing = new Transform({
      transform(chunk: Buffer, _, done) {
        hash.update(chunk)
        done(null, chunk)
      },
    })
    await pipeline(bytesOf(zip, entry), hashing, createWriteStream(part))
    if (hash.digest('hex') !== name.split('.')[0])
      throw new Damaged(`the picture ${name.slice(0, 12)}… is not as it was saved.`)
    await publish(part, path)
  } finally {
    await rm(part, { force: true })
  }
}

/**
 * Makes a data file of an archive, and puts its pictures beside the data file in use; that one is not touched.
 * @throws Error with a message for the user when the archive cannot be used; then nothing is left of it but pictures,
 * which nobody names.
 */
export async function* readArchive({ file, into, beside, migrations }: ArchiveQuestion): AsyncGenerator<ArchiveEvent> {
  let zip: ZipFile
  const entries = new Map<string, Entry>()
  try {
    zip = await openPromise(file, { autoClose: false })
  } catch (error) {
    throw new Error('This file is not a ZIP archive, or it is damaged. Choose the file that Fonetra saved.', {
      cause: error,
    })
  }
  try {
    for await (const entry of zip.eachEntry()) {
      if (entries.size > MOST_ENTRIES) throw new Error('This ZIP file has too many entries to be a Fonetra archive.')
      entries.set(entry.fileName, entry)
    }
    const about = await aboutOf(zip, entries, migrationsOf(migrations).length)
    const all = Object.values(about.tables).reduce((sum, rows) => sum + rows, 0)
    const bytes = [...entries.values()].reduce((sum, entry) => sum + entry.uncompressedSize, 0)
    const { bavail, bsize } = statfsSync(dirname(into))
    if (bavail * bsize < bytes * ROOM) throw new Error('There is not enough space on the disk to read this archive.')
    let done = 0
    const db = makeDataAt(into, migrations, about.data)
    try {
      db.exec('BEGIN')
      const tables = archiveTables(db)
      for (const { name } of tables) db.exec(`DELETE FROM ${name}`)
      const known = new Set(tables.map(({ name }) => name))
      for (const name of Object.keys(about.tables))
        if (!known.has(name))
          throw new Error(`The archive has a table “${name}” that Fonetra does not know, so it cannot be used.`)
      for (const table of tables) {
        const entry = entries.get(tableEntry(table.name))
        let rows = 0
        if (entry) {
          const lines = createInterface({ input: Readable.from(bytesOf(zip, entry)), crlfDelay: Infinity })
          for await (rows of fill(db, table, lines))
            yield { kind: 'progress', part: (done + rows) / (all + 1), said: `${inDigits(done + rows)} rows read` }
        }
        if (rows !== (about.tables[table.name] ?? 0))
          throw new Damaged(
            `of ${counted(about.tables[table.name] ?? 0, 'row')} of ${table.name} it has ${inDigits(rows)}.`,
          )
        done += rows
      }
      db.exec('COMMIT')
    } finally {
      db.close()
    }
    const current = openUserData(into, { migrations })
    try {
      lookOver(current)
      current.pragma('wal_checkpoint(TRUNCATE)')
    } finally {
      current.close()
    }
    let pictures = 0
    for (const [name, entry] of entries) {
      if (!name.startsWith(PICTURES) || !PICTURE_NAME.test(name.slice(PICTURES.length))) continue
      await unpackPicture(zip, entry, pictureFolder(beside))
      yield { kind: 'progress', part: 1, said: `${counted(++pictures, 'picture')} read` }
    }
    yield { kind: 'ready', briefs: about.tables.brief ?? 0, rows: done, pictures }
  } catch (error) {
    removeData(into)
    throw error
  } finally {
    zip.close()
  }
}

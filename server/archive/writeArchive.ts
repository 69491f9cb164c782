import Database from 'better-sqlite3'
import { Readable } from 'node:stream'
import { ZipFile } from 'yazl'
import { exportedText } from '../../core/brief/brief'
import { writeBriefFile } from '../../core/brief/briefFile'
import { csvFile } from '../../core/formats/csv'
import { captionsEnding } from '../../core/release/handOver'
import { briefItemStore } from '../data/briefItems'
import { briefStore } from '../data/briefs'
import type { Db } from '../data/open'
import { keptPictures, pictureFolder } from '../data/pictures'
import { fileNameOf } from '../http/fileName'
import { fileItemsOf } from '../release/package'
import { ABOUT_NAME, ARCHIVE_FORMAT, PICTURES, tableEntry, type About } from './about'
import { rowWriter, type Value } from './rows'
import { archiveTables, type ArchiveTable } from './tables'

const READ_ME = `This is everything Fonetra held when it was saved.

tables/    every table, a row a line, as JSON. From these Fonetra reads it back.
pictures/  the pictures that briefs use, named by the SHA-256 of their bytes.
briefs/    each brief once more, as a file that can be opened by itself: its texts, its captions.
lists/     each list of phrases as CSV.

To read it back: Library, Data, “Read an archive”. What each part means is in docs/formats.md.
`
/** Characters of rows that are handed on at once. */
const CHUNK = 64 * 1024

/** Rows of a table as lines, in pieces. */
function* linesOf(db: Db, table: ArchiveTable): Generator<string> {
  const line = rowWriter(table)
  let text = ''
  for (const row of db.prepare<[], Value[]>(`SELECT * FROM ${table.name}`).raw().iterate()) {
    text += line(row)
    if (text.length < CHUNK) continue
    yield text
    text = ''
  }
  if (text) yield text
}

/** Copies for people and other programs, each written when it is its turn; reading an archive back leaves them out. */
function* copiesOf(db: Db, now: number): Generator<{ name: string; text: () => string }> {
  const briefs = briefStore(db)
  const items = briefItemStore(db)
  const ids = db.prepare<[], string>('SELECT id FROM brief WHERE deleted_at IS NULL ORDER BY created_at, id').pluck()
  for (const id of ids.all()) {
    const read = () => briefs.get(id)!
    const { topic, captions } = read().fields
    const folder = `briefs/${fileNameOf(topic, 'brief')}-${id.slice(-6)}`
    yield { name: `${folder}/brief.json`, text: () => writeBriefFile(read(), fileItemsOf(items, id), now) }
    yield { name: `${folder}/texts.txt`, text: () => exportedText({ ...read().fields, captions: '' }) }
    if (captions) yield { name: `${folder}/captions.${captionsEnding(captions)}`, text: () => read().fields.captions }
  }
  const lists = db.prepare<[], { id: string; name: string }>(
    'SELECT id, name FROM phrase_list WHERE deleted_at IS NULL',
  )
  const phrases = db
    .prepare<[string], [string, string]>(
      'SELECT p.text, l.note FROM list_phrase l JOIN phrase p ON p.id = l.phrase_id WHERE l.list_id = ? ORDER BY l.place',
    )
    .raw()
  for (const { id, name } of lists.all())
    yield {
      name: `lists/${fileNameOf(name, 'list')}-${id.slice(-6)}.csv`,
      text: () => csvFile(['phrase', 'note'], phrases.all(id)),
    }
}

/**
 * Everything in a user's file and the pictures beside it as one ZIP file, in pieces, as it stood when it was begun:
 * what is written meanwhile is not in it.
 */
export async function* writeArchive(
  { file }: { file: string },
  now = Date.now(),
): AsyncGenerator<{ kind: 'piece'; bytes: Uint8Array }> {
  const db = new Database(file, { readonly: true })
  try {
    // One reading transaction: all tables are of the same moment.
    db.exec('BEGIN')
    const tables = archiveTables(db)
    const about: About = {
      kind: 'fonetra-archive',
      format: ARCHIVE_FORMAT,
      made: new Date(now).toISOString(),
      data: Number(db.pragma('user_version', { simple: true })),
      tables: Object.fromEntries(
        tables.map(({ name }) => [name, db.prepare<[], number>(`SELECT count(*) FROM ${name}`).pluck().get()!]),
      ),
    }
    const zip = new ZipFile()
    const mtime = new Date(now)
    const output = zip.outputStream as unknown as Readable
    // What fails within ends what is read of it.
    ;(zip as unknown as NodeJS.EventEmitter).once('error', (error: Error) => output.destroy(error))
    zip.addBuffer(Buffer.from(`${JSON.stringify(about, null, 2)}\n`), ABOUT_NAME, { mtime })
    zip.addBuffer(Buffer.from(READ_ME), 'read-me.txt', { mtime })
    for (const table of tables)
      zip.addReadStreamLazy(tableEntry(table.name), { mtime, compressionLevel: 3 }, open => {
        open(null, Readable.from(linesOf(db, table), { objectMode: false }))
      })
    for (const { name, path } of keptPictures(pictureFolder(file)))
      zip.addFile(path, PICTURES + name, { mtime, compress: false })
    for (const { name, text } of copiesOf(db, now))
      zip.addReadStreamLazy(name, { mtime }, open => {
        open(null, Readable.from([text()], { objectMode: false }))
      })
    zip.end()
    for await (const bytes of output as AsyncIterable<Buffer>) yield { kind: 'piece', bytes }
  } finally {
    db.close()
  }
}

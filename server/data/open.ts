import Database from 'better-sqlite3'
import { mkdirSync, readFileSync, readdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { makeBackup } from './backups'
import { DataProblem, openingProblem } from './dataProblem'

export type Db = Database.Database

export interface OpenOptions {
  /** The folder of `NNN-name.sql` files. */
  migrations: string
  /** The file grows no larger than this; a write past it fails as on a full disk. */
  limitBytes?: number
  /** Milliseconds another program's lock is waited for, five seconds unless given. */
  patience?: number
}

/** The migrations of a folder in order, each with its number. @throws Error when numbers repeat or leave gaps. */
export function migrationsOf(folder: string): { version: number; name: string; sql: string }[] {
  const files = readdirSync(folder)
    .filter(name => /^\d{3}-.+\.sql$/u.test(name))
    .sort()
  return files.map((name, i) => {
    const version = Number(name.slice(0, 3))
    if (version !== i + 1) throw new Error(`Migration ${name} should have number ${i + 1}.`)
    return { version, name, sql: readFileSync(join(folder, name), 'utf8') }
  })
}

/**
 * Opens the user's file, making it when absent and bringing an older one up to date.
 *
 * What is acknowledged survives a kill and a power cut: WAL with `synchronous = FULL`.
 *
 * @throws DataProblem with a message for the user when the file is damaged, newer, locked or cannot be written.
 */
export function openUserData(file: string, options: OpenOptions): Db {
  return opened(file, options, migrate)
}

/**
 * Makes an empty data file of an earlier format, to be filled. Nothing of it is safe on disk: whoever fills it sees to
 * that, and opens it as any other then.
 */
export function makeDataAt(file: string, migrations: string, version: number): Db {
  const db = new Database(file)
  db.pragma('auto_vacuum = INCREMENTAL')
  db.pragma('foreign_keys = OFF')
  db.pragma('journal_mode = OFF')
  db.pragma('synchronous = OFF')
  for (const { sql } of migrationsOf(migrations).slice(0, version)) db.exec(sql)
  db.pragma(`user_version = ${version}`)
  return db
}

/** The same for a file that a person has worked in: before an older one is changed a backup is made. */
export async function openUserFile(file: string, options: OpenOptions): Promise<Db> {
  const db = opened(file, options, () => undefined)
  try {
    const { version, due } = dueMigrations(db, file, options.migrations)
    if (version > 0 && due.length) await makeBackup(to => db.backup(to), file, 'before-update')
    migrate(db, file, options.migrations)
    return db
  } catch (error) {
    db.close()
    throw openingProblem(error, file)
  }
}

function opened(file: string, { migrations, limitBytes, patience = 5000 }: OpenOptions, prepare: typeof migrate): Db {
  let db: Db | undefined
  try {
    mkdirSync(dirname(file), { recursive: true })
    db = new Database(file, { timeout: patience })
    // Of a new file alone: space that is free in it can be given back to the disk bit by bit.
    db.pragma('auto_vacuum = INCREMENTAL')
    db.pragma('journal_mode = WAL')
    db.pragma('synchronous = FULL')
    db.pragma('foreign_keys = ON')
    db.pragma('cache_size = -48000')
    // Pages that many commits touch are written back once for all of them, but no more of them than a request can wait
    // for.
    db.pragma('wal_autocheckpoint = 1000')
    prepare(db, file, migrations)
    if (limitBytes)
      db.pragma(
        `max_page_count = ${Math.max(1, Math.floor(limitBytes / Number(db.pragma('page_size', { simple: true }))))}`,
      )
    return db
  } catch (error) {
    db?.close()
    throw openingProblem(error, file)
  }
}

interface Due {
  version: number
  all: ReturnType<typeof migrationsOf>
  due: ReturnType<typeof migrationsOf>
}

/** The migrations a file still needs. @throws DataProblem when it comes from a newer program. */
function dueMigrations(db: Db, file: string, folder: string): Due {
  const all = migrationsOf(folder)
  const version = Number(db.pragma('user_version', { simple: true }))
  if (version > all.length)
    throw new DataProblem(
      'newer',
      `${file} was written by a newer Fonetra (format ${version}; this one reads ${all.length}). Start that version, or start with another folder by --data.`,
    )
  return { version, all, due: all.filter(each => each.version > version) }
}

function migrate(db: Db, file: string, folder: string): void {
  const { all, due } = dueMigrations(db, file, folder)
  if (!due.length) return
  // Tables that others refer to are rebuilt by some steps: references are checked as a whole before the commit.
  db.pragma('foreign_keys = OFF')
  db.transaction(() => {
    for (const { sql } of due) db.exec(sql)
    const broken = db.pragma('foreign_key_check') as unknown[]
    if (broken.length)
      throw new DataProblem(
        'damaged',
        `${file} could not be brought up to date: ${broken.length} references would be broken. It is unchanged. Restore a backup, or start with another folder by --data.`,
      )
    db.pragma(`user_version = ${all.length}`)
  }).immediate()
  db.pragma('foreign_keys = ON')
}

/**
 * Puts on disk what relaxed transactions wrote: to be called before an import is acknowledged. A commit that waits for
 * the disk takes all before it along.
 */
export function settle(db: Db): void {
  db.pragma(`user_version = ${Number(db.pragma('user_version', { simple: true }))}`)
}

/**
 * A transaction for what can be had again: its commit does not wait for the disk. The order of
 * commits is kept, so that the next edit of a person, which does wait, takes it along.
 */
export function relaxedTransaction<Args extends unknown[], Result>(
  db: Db,
  work: (...args: Args) => Result,
): (...args: Args) => Result {
  const transaction = db.transaction(work)
  return (...args) => {
    db.pragma('synchronous = NORMAL')
    try {
      return transaction.immediate(...args)
    } finally {
      db.pragma('synchronous = FULL')
    }
  }
}

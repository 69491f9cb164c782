import Database from 'better-sqlite3'
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { dirname, join } from 'node:path'

export type Db = Database.Database

export interface OpenOptions {
  /** The folder of `NNN-name.sql` files. */
  migrations: string
  /** The file grows no larger than this; a write past it fails as on a full disk. */
  limitBytes?: number
}

/** The migrations of a folder in order, each with its number. @throws Error when numbers repeat or leave gaps. */
export function migrationsOf(folder: string): { version: number, name: string, sql: string }[] {
  const files = readdirSync(folder).filter(name => /^\d{3}-.+\.sql$/u.test(name)).sort()
  return files.map((name, i) => {
    const version = Number(name.slice(0, 3))
    if (version !== i + 1) throw new Error(`Migration ${name} should have number ${i + 1}.`)
    return { version, name, sql: readFileSync(join(folder, name), 'utf8') }
  })
}

/**
 * Opens the user's file, making it when absent and bringing an older one up to date. Before an
 * older file is changed a copy is kept beside it as `name.before-NNN`.
 *
 * What is acknowledged survives a kill and a power cut: WAL with `synchronous = FULL`.
 *
 * @throws Error with a message for the user when the file comes from a newer version.
 */
export function openUserData(file: string, { migrations, limitBytes }: OpenOptions): Db {
  mkdirSync(dirname(file), { recursive: true })
  const db = new Database(file, { timeout: 5000 })
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.pragma('foreign_keys = ON')
  db.pragma('cache_size = -48000')
  // Pages that many commits touch are written back once for all of them.
  db.pragma('wal_autocheckpoint = 6000')
  migrate(db, file, migrations)
  if (limitBytes) db.pragma(`max_page_count = ${Math.max(1, Math.floor(limitBytes / Number(db.pragma('page_size', { simple: true }))))}`)
  return db
}

function migrate(db: Db, file: string, folder: string): void {
  const all = migrationsOf(folder)
  const version = Number(db.pragma('user_version', { simple: true }))
  if (version > all.length) {
    db.close()
    throw new Error(`${file} was written by a newer Fonetra (format ${version}; this one knows ${all.length}). Start that one, or give another folder with --data.`)
  }
  const due = all.filter(each => each.version > version)
  if (!due.length) return
  if (version > 0) {
    const copy = `${file}.before-${String(due[0]!.version).padStart(3, '0')}`
    if (existsSync(copy)) rmSync(copy)
    db.prepare('VACUUM INTO ?').run(copy)
  }
  // Tables that others refer to are rebuilt by some steps: references are checked as a whole before the commit.
  db.pragma('foreign_keys = OFF')
  db.transaction(() => {
    for (const { sql } of due) db.exec(sql)
    const broken = db.pragma('foreign_key_check') as unknown[]
    if (broken.length) throw new Error(`${file} could not be brought up to date: ${broken.length} references would be broken. It is unchanged.`)
    db.pragma(`user_version = ${all.length}`)
  }).immediate()
  db.pragma('foreign_keys = ON')
}

/**
 * A transaction for what can be had again: its commit does not wait for the disk. The order of
 * commits is kept, so that the next edit of a person, which does wait, takes it along.
 */
export function relaxedTransaction<Args extends unknown[], Result>(db: Db, work: (...args: Args) => Result): (...args: Args) => Result {
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

import Database from 'better-sqlite3'
import { mkdirSync } from 'node:fs'
import { dirname } from 'node:path'
import { DataProblem, openingProblem } from './dataProblem'

/** Milliseconds a start waits for another that is at this very moment writing down who holds the folder. */
const PATIENCE = 300

/**
 * Takes a data folder for this process alone. The lock is one of SQLite's, which the kernel gives back however the
 * process ends; who holds it can be read beside it.
 *
 * @param file the lock file. @param port where the holder answers, `null` for a tool that has no address.
 * @returns how to give the folder back.
 * @throws DataProblem that says who holds the folder, or why it cannot be written.
 */
export function lockFolder(file: string, port: number | null): () => void {
  let db: Database.Database | undefined
  try {
    mkdirSync(dirname(file), { recursive: true })
    db = new Database(file, { timeout: PATIENCE })
    // Who holds it is written under the lock, then the lock is taken again and kept: readers are let in, writers are
    // not.
    db.exec(
      'BEGIN IMMEDIATE; CREATE TABLE IF NOT EXISTS holder (pid INTEGER NOT NULL, port INTEGER); DELETE FROM holder',
    )
    db.prepare('INSERT INTO holder (pid, port) VALUES (?, ?)').run(process.pid, port)
    db.exec('COMMIT; BEGIN IMMEDIATE')
    if (holderOf(db)?.pid !== process.pid) throw inUse(file, holderOf(db))
  } catch (error) {
    const problem = openingProblem(error, file)
    const taken =
      problem instanceof DataProblem && problem.fault === 'locked' && db ? inUse(file, holderOf(db)) : problem
    db?.close()
    throw taken
  }
  const held = db
  return () => {
    held.close()
  }
}

interface Holder {
  pid: number
  port: number | null
}

function holderOf(db: Database.Database): Holder | undefined {
  try {
    return db.prepare<[], Holder>('SELECT pid, port FROM holder').get()
  } catch {
    // The one that holds it has not written down who it is yet.
    return undefined
  }
}

function inUse(file: string, holder: Holder | undefined): DataProblem {
  const who = holder ? ` (process ${holder.pid})` : ''
  const where = holder?.port ? `: open http://127.0.0.1:${holder.port}` : ''
  return new DataProblem(
    'in-use',
    `Fonetra is already running with the data in ${dirname(file)}${who}${where}. Use that one, stop it, or start with another folder by --data.`,
  )
}

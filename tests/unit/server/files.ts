import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openUserData, type Db } from '../../../server/data/open'

export const MIGRATIONS = join(__dirname, '../../../server/data/migrations')

/** A folder that is gone after the tests of the file. */
export function temporaryFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'fonetra-test-'))
  afterAll(() => {
    rmSync(folder, { recursive: true, force: true })
  })
  return folder
}

let opened = 0
/** A user's file of its own, real SQLite on disk, closed after each test. */
export function freshData(folder: string, more: { limitBytes?: number } = {}): Db {
  const db = openUserData(join(folder, `data-${opened++}.sqlite`), { migrations: MIGRATIONS, ...more })
  toClose.push(db)
  return db
}
const toClose: Db[] = []
afterEach(() => {
  for (const db of toClose.splice(0)) db.close()
})

/** A clock that stands until it is moved. */
export function standingClock(at = Date.UTC(2026, 4, 4, 12)) {
  const clock = () => clock.at
  clock.at = at
  clock.pass = (ms: number) => {
    clock.at += ms
  }
  return clock
}

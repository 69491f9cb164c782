import Database from 'better-sqlite3'
import { cpSync } from 'node:fs'
import { join } from 'node:path'
import { openStandin } from '../../../../server/services/standin/standin'
import { makeWorld } from '../../../../server/services/standin/world'
import { temporaryFolder } from '../files'

export const MADE_ON = Date.UTC(2026, 9, 15)
const folder = temporaryFolder()
const made = join(folder, 'made.sqlite')
beforeAll(() => {
  makeWorld(made, { phrases: 3000, videos: 600, channels: 80 }, 5, MADE_ON)
})

let worlds = 0
/** A world of its own, with a clock the test sets. */
export function world() {
  const file = join(folder, `world${worlds++}.sqlite`)
  cpSync(made, file)
  const time = { now: MADE_ON + 10 * 3_600_000 }
  const open = () => openStandin(file, undefined, () => time.now)
  return { file, time, open, ...open() }
}

const TABLES = [
  'channel',
  'video',
  'playlist',
  'upload',
  'release',
  'live',
  'aim',
  'page_scores',
  'day_figures',
  'followed',
  'place',
  'course',
] as const
/** All that can have changed in a world since it was made, by table. */
export function dump(file: string): Record<(typeof TABLES)[number], unknown[]> {
  const db = new Database(file)
  const rows = Object.fromEntries(TABLES.map(table => [table, db.prepare(`SELECT * FROM ${table}`).all()]))
  db.close()
  return rows as Record<(typeof TABLES)[number], unknown[]>
}

import Database from 'better-sqlite3'
import { WorldClock, facts } from './clock'
import { Ranking } from './ranking'
import { upgradeWorld } from './schema'

/** A world that is open: its file, its clock and its order of results. */
export interface OpenWorld {
  db: Database.Database
  seed: number
  clock: WorldClock
  ranking: Ranking
}

/**
 * @param given the time shown instead of the machine's, UTC milliseconds.
 * @param daysAhead days the clock stands ahead of the machine's, at least.
 */
export function openWorld(file: string, given?: () => number, daysAhead = 0): OpenWorld {
  const db = new Database(file, { fileMustExist: true })
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = NORMAL')
  db.pragma('busy_timeout = 5000')
  upgradeWorld(db)
  const known = facts(db)
  const seed = known.number('seed')
  const clock = new WorldClock(db, given, daysAhead)
  const time = { madeOn: clock.madeOn, today: () => clock.today(), now: () => clock.now() }
  return { db, seed, clock, ranking: new Ranking(db, seed, time, known.number('wide') === 1) }
}

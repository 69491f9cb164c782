import type { Database } from 'better-sqlite3'
import { DAY } from '../../../core/time'

/** Values the world keeps about itself, by name. */
export function facts(db: Database) {
  const read = db.prepare<[string], string>('SELECT value FROM fact WHERE name = ?').pluck()
  const write = db.prepare<[string, string]>('INSERT OR REPLACE INTO fact VALUES (?, ?)')
  return {
    number: (name: string, absent = 0) => Number(read.get(name) ?? absent),
    set: (name: string, value: number) => {
      write.run(name, String(value))
    },
  }
}

/** The UTC midnight before a time. */
export const dayOf = (at: number) => Math.floor(at / DAY) * DAY

/**
 * The world's clock: the machine's, moved on by as many days as somebody asked for. It never stands before the day on
 * which the world was made, unless a test sets it back.
 */
export class WorldClock {
  private readonly kept
  readonly madeOn: number
  /** Days the clock stands ahead of the machine's. */
  daysAhead: number

  /**
   * @param given the time shown instead of the machine's, UTC milliseconds.
   * @param atLeast days it stands ahead at least.
   */
  constructor(
    db: Database,
    private readonly given?: () => number,
    private readonly atLeast = 0,
  ) {
    this.kept = facts(db)
    this.madeOn = this.kept.number('newestDay')
    this.daysAhead = Math.max(this.atLeast, this.kept.number('daysAhead'))
  }

  now(): number {
    return (this.given ? this.given() : Math.max(this.madeOn, Date.now())) + this.daysAhead * DAY
  }
  /** What the site shows changes from day to day: two who look on one day see the same. */
  today(): number {
    return Math.max(this.given ? 0 : this.madeOn, dayOf(this.now()))
  }
  move(days: number): void {
    this.daysAhead += days
    this.kept.set('daysAhead', this.daysAhead)
  }
}

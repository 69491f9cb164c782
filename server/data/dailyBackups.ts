import type { Backup, BackupKind } from '../../shared/backups'
import { backupDue, makeBackup, type CopyDatabase } from './backups'

/** The first screen comes first. */
const AFTER_START = 20_000
const EVERY = 3_600_000

/** Backups of the open file: one a day by itself, others when they are asked for. */
export interface DailyBackups {
  make: (kind: BackupKind) => Promise<Backup>
  /** Why the last one failed, `null` when it did not. */
  problem: () => string | null
  /** Ends the timer, once a backup under way is whole. */
  close: () => Promise<void>
}

/**
 * @param copy copies the open file without holding up requests.
 * @param after done once a day when the backup is made: what it changes can be had back.
 */
export function dailyBackups(
  copy: CopyDatabase,
  file: string,
  after: () => Promise<unknown> = () => Promise.resolve(),
): DailyBackups {
  let problem: string | null = null
  let work: Promise<unknown> = Promise.resolve()

  /** One at a time: two would only copy the same pages twice as slowly. */
  function make(kind: BackupKind): Promise<Backup> {
    const mine = work.then(() => makeBackup(copy, file, kind))
    work = mine.then(
      () => {
        problem = null
      },
      (error: unknown) => {
        problem = (error as Error).message
      },
    )
    return mine
  }
  async function daily(): Promise<void> {
    try {
      if (!backupDue(file)) return
      await make('daily')
      await after()
    } catch (error) {
      console.error('The daily backup failed:', (error as Error).message)
    }
  }
  const first = setTimeout(() => void daily(), AFTER_START)
  const again = setInterval(() => void daily(), EVERY)
  first.unref()
  again.unref()
  return {
    make,
    problem: () => problem,
    async close() {
      clearTimeout(first)
      clearInterval(again)
      await work
    },
  }
}

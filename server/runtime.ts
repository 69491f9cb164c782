import { readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { KINDS } from '../shared/changes'
import { changes } from './changes'
import { ownPort, places } from './folders'
import { migrationsOf } from './data/open'
import { restoreBackup, takeOver, usableBackup } from './data/backups'
import { DataProblem } from './data/dataProblem'
import { lockFolder } from './data/folderLock'
import { openAll, type Runtime } from './opening'

export type { Runtime }

/** What stands between a request and the data while there is no runtime. */
type Closed = { problem: unknown }

let state: Runtime | Closed = { problem: new DataProblem('locked', 'Fonetra is starting. Try again in a moment.') }
/** The folder stays this program's own also while a backup is put in the file's place. */
let giveBack: (() => void) | undefined
/** Opening, closing and restoring follow one another. */
let turn: Promise<unknown> = Promise.resolve()

const isOpen = (now: Runtime | Closed): now is Runtime => 'db' in now

/** Everything a route works with. @throws what kept the data from being opened. */
export function useRuntime(): Runtime {
  if (isOpen(state)) return state
  throw state.problem
}

/**
 * Takes the data folder and opens what is in it; what keeps it from that is thrown at each use, and returned.
 * FONETRA_DATA_LIMIT_MB bounds the user's file.
 */
export function openRuntime(): Promise<unknown> {
  return inTurn(open)
}

/** Runs one after the other. */
function inTurn<Result>(work: () => Promise<Result>): Promise<Result> {
  const mine = turn.then(work)
  turn = mine.catch(() => undefined)
  return mine
}

async function open(): Promise<unknown> {
  if (isOpen(state)) return null
  try {
    const { data } = places()
    giveBack ??= lockFolder(join(data, 'fonetra.lock'), ownPort())
    // An import that was cut off leaves its upload behind.
    for (const name of readdirSync(data))
      if (/^upload-.+\.tmp(-\w+)?$/u.test(name)) rmSync(join(data, name), { force: true })
    state = await openAll(opening => state === opening)
    return null
  } catch (error) {
    state = { problem: error }
    return error
  }
}

async function close(problem: unknown): Promise<void> {
  if (!isOpen(state)) return
  const open = state
  state = { problem }
  open.rankWatch.close()
  open.jobs.close()
  await open.backups.close()
  await open.services.close()
  await open.overviews.close()
  await open.search.close()
  await open.reader.close()
  await open.chances.close()
  await open.scoring.close()
  await open.evidenceWork.close()
  await open.fileWork.close()
  await open.pictureWork.close()
  open.db.close()
}

/** Closes what `openRuntime` opened and gives the folder back. */
export function closeRuntime(): Promise<void> {
  return inTurn(async () => {
    await close(new DataProblem('locked', 'Fonetra is stopping. Start it again to continue.'))
    giveBack?.()
    giveBack = undefined
  })
}

/**
 * Puts a backup in the place of the user's file. Requests meanwhile are answered that it is being restored.
 * @throws DataProblem when it cannot be restored; the data is open as before then.
 */
export function restoreRuntime(name: string): Promise<void> {
  return inTurn(() => {
    const { file, migrations } = places()
    // One that cannot be used ends no work.
    return replace(usableBackup(file, name, migrationsOf(migrations).length), restoreBackup)
  })
}

/**
 * Puts a data file that was made of an archive in the place of the user's.
 * @throws DataProblem when it cannot be put there; the data is open as before then.
 */
export const takeOverRuntime = (made: string): Promise<void> => inTurn(() => replace(made, takeOver))

async function replace(from: string, put: (file: string, from: string) => Promise<void>): Promise<void> {
  await close(new DataProblem('locked', 'The data is being replaced. Try again in a moment.'))
  try {
    await put(places().file, from)
  } finally {
    await open()
    for (const kind of KINDS) changes.changedByItself(kind)
  }
}

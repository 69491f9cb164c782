import { readdirSync, rmSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { briefStore, type BriefStore } from './data/briefs'
import { openUserData, type Db } from './data/open'
import { phraseStore, type PhraseStore } from './data/phrases'
import { resultStore, type ResultStore } from './data/results'
import { Jobs } from './jobs/jobs'
import { connectStandin, type ConnectedServices } from './services/connect'

/** Everything a route works with, opened once. */
export interface Runtime {
  db: Db
  briefs: BriefStore
  phrases: PhraseStore
  results: ResultStore
  services: ConnectedServices
  jobs: Jobs
  /** The built entry of the thread that reads lists. */
  listThread: string
  /** Where uploads wait while they are read. */
  uploads: string
}

let runtime: Runtime | undefined

/**
 * Where things are: FONETRA_HOME the project, FONETRA_DATA the user's folder; the user's file
 * and the made-up world are two files in it. FONETRA_DATA_LIMIT_MB bounds the user's file.
 */
export function useRuntime(): Runtime {
  if (runtime) return runtime
  const home = process.env.FONETRA_HOME ?? process.cwd()
  const data = resolve(home, process.env.FONETRA_DATA ?? 'data')
  const limit = Number(process.env.FONETRA_DATA_LIMIT_MB ?? 0)
  const db = openUserData(join(data, 'fonetra.sqlite'), { migrations: join(home, 'server/data/migrations'), ...(limit ? { limitBytes: limit * 1024 * 1024 } : {}) })
  const workers = join(home, '.output/workers')
  runtime = {
    db,
    briefs: briefStore(db),
    phrases: phraseStore(db),
    results: resultStore(db),
    services: connectStandin(join(workers, 'standin.mjs'), join(data, 'world.sqlite')),
    jobs: new Jobs(),
    listThread: join(workers, 'list.mjs'),
    uploads: data,
  }
  runtime.briefs.forgetOldEdits()
  // An import that was cut off leaves its upload behind.
  for (const name of readdirSync(data)) if (/^upload-.+\.tmp$/u.test(name)) rmSync(join(data, name), { force: true })
  return runtime
}

/** Closes what `useRuntime` opened; the next use opens it anew. */
export async function closeRuntime(): Promise<void> {
  const open = runtime
  runtime = undefined
  await open?.services.close()
  open?.db.close()
}

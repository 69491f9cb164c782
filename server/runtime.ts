import { readdirSync, rmSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { briefStore, type BriefStore } from './data/briefs'
import { openUserData, type Db } from './data/open'
import { phraseStore, type PhraseStore } from './data/phrases'
import { resultStore, type ResultStore } from './data/results'
import { listStore, type ListStore } from './data/lists'
import { placeStore, type PlaceStore } from './data/places'
import { sourceStore, type SourceStore } from './data/sources'
import { rivalSetStore, type RivalSetStore } from './data/rivalSets'
import { videoStore, type VideoStore } from './data/videos'
import { workspaceStore, type WorkspaceStore } from './data/workspaces'
import { startSearch, type PhraseSearch } from './demand/search'
import { Jobs } from './jobs/jobs'
import { startReading } from './jobs/startReading'
import type { PageReader } from './rivals/pageReader'
import { attachedStore, type AttachedStore } from './data/attached'
import { connectStandin } from './services/connect'
import { switchboard, type Switchboard } from './services/switchboard'

/** Everything a route works with, opened once. */
export interface Runtime {
  db: Db
  briefs: BriefStore
  phrases: PhraseStore
  results: ResultStore
  videos: VideoStore
  workspaces: WorkspaceStore
  rivalSets: RivalSetStore
  lists: ListStore
  places: PlaceStore
  sources: SourceStore
  /** The index of phrases, in a thread of its own. */
  search: PhraseSearch
  /** Reads result pages, in a thread of its own. */
  reader: PageReader & { close: () => Promise<void> }
  services: Switchboard
  attached: AttachedStore
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
  const changed = (ids: readonly number[]) => { search.changed(ids) }
  const phrases = phraseStore(db, Date.now, changed)
  const search = startSearch(join(workers, 'index.mjs'), join(data, 'fonetra.sqlite'), (...cap) => { phrases.putCap(...cap) })
  const videos = videoStore(db)
  const attached = attachedStore(db)
  runtime = {
    db,
    briefs: briefStore(db),
    phrases,
    results: resultStore(db, changed),
    videos,
    workspaces: workspaceStore(db, videos),
    rivalSets: rivalSetStore(db),
    lists: listStore(db, phrases),
    places: placeStore(db),
    sources: sourceStore(db, changed),
    search,
    reader: startReading(join(workers, 'reading.mjs')),
    services: switchboard(connectStandin(join(workers, 'standin.mjs'), join(data, 'world.sqlite')), attached.get()),
    attached,
    jobs: new Jobs(db),
    listThread: join(workers, 'list.mjs'),
    uploads: data,
  }
  runtime.briefs.forgetOldEdits()
  // One that is closed while it loads is no failure.
  void search.load('en', '').catch((error: unknown) => { if (runtime) console.error('The index of phrases could not be loaded:', error) })
  // An import that was cut off leaves its upload behind.
  for (const name of readdirSync(data)) if (/^upload-.+\.tmp$/u.test(name)) rmSync(join(data, name), { force: true })
  return runtime
}

/** Closes what `useRuntime` opened; the next use opens it anew. */
export async function closeRuntime(): Promise<void> {
  const open = runtime
  runtime = undefined
  open?.jobs.close()
  await open?.services.close()
  await open?.search.close()
  await open?.reader.close()
  open?.db.close()
}

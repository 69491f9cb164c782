import { appendFileSync, existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { openUserFile } from '../server/data/open'
import { phraseStore } from '../server/data/phrases'
import { resultStore } from '../server/data/results'
import { videoStore } from '../server/data/videos'
import { importPhrases } from '../server/imports/importPhrases'
import { importPages } from '../server/imports/importPages'
import { readInThread } from '../server/threads/readInThread'
import { TOLD_AT, type LargeFile } from './largeFiles'

export interface FillOptions {
  /** The user's folder. */
  data: string
  files: readonly LargeFile[]
  migrations: string
  /** The built thread that reads files. */
  importThread: string
  /** Asked before each file; one being imported is finished. */
  stopped?: () => boolean
  report?: (file: LargeFile, took: { seconds: number; rows: number }) => void
}

/** The names of files that are in the store, one a line: written after what they hold is on disk. */
const doneList = (data: string) => join(data, 'filled.txt')

/**
 * Imports files one after the other as a person would. What was imported is noted, so that a fill that was stopped or
 * cut off goes on with the first file not noted; importing one again changes nothing.
 *
 * @returns how many files are left.
 */
export async function fill({
  data,
  files,
  migrations,
  importThread,
  stopped = () => false,
  report = () => undefined,
}: FillOptions): Promise<number> {
  const db = await openUserFile(join(data, 'fonetra.sqlite'), { migrations })
  try {
    const phrases = phraseStore(db)
    const deps = { phrases, results: resultStore(db), videos: videoStore(db) }
    const done = new Set(existsSync(doneList(data)) ? readFileSync(doneList(data), 'utf8').split('\n') : [])
    const due = files.filter(({ name }) => !done.has(name))
    for (const [i, file] of due.entries()) {
      if (stopped()) return due.length - i
      const startedAt = performance.now()
      const rows = await importFile(file)
      // Noted only once it is on disk: the import's own commits do not wait for that.
      db.pragma('wal_checkpoint(PASSIVE)')
      appendFileSync(doneList(data), `${file.name}\n`)
      report(file, { seconds: (performance.now() - startedAt) / 1000, rows })
    }
    return 0

    async function importFile({ path, kind, region }: LargeFile): Promise<number> {
      if (kind === 'videos') {
        const { videos, rejected } = await importPages(
          deps,
          readInThread(importThread, 'pages', { file: path, region, language: 'en', now: TOLD_AT }),
          { language: 'en', source: 'large-videos', now: TOLD_AT },
        )
        if (rejected.length) throw new Error(`${path}, line ${rejected[0]!.line}: ${rejected[0]!.reason}`)
        return videos
      }
      const result = await importPhrases(
        phrases,
        readInThread(importThread, 'phrases', { file: path, columns: null }),
        { region, language: 'en', source: 'large-list', now: () => TOLD_AT },
      )
      if (result.kind !== 'imported')
        throw new Error(`${path} has columns that are not known: ${result.headers.join(', ')}`)
      return result.answer.accepted + result.answer.updated
    }
  } finally {
    db.close()
  }
}

import { Worker } from 'node:worker_threads'
import type { ColumnMap } from '../../core/formats/phraseList'
import type { ImportAnswer } from '../../shared/phrases'
import type { PhraseStore } from '../data/phrases'
import type { ListMessage } from '../jobs/listThread'
import type { ListEvent } from '../jobs/readList'

/** Refused lines that are told one by one; the rest are counted. */
const TOLD = 200

export type ImportResult =
  | { kind: 'imported', answer: ImportAnswer }
  | { kind: 'unknown-columns', headers: string[], sample: string[][] }

export interface ImportOptions {
  file: string
  columns: ColumnMap | null
  /** Where a line names no region: '' for everywhere. */
  region: string
  language: string
  /** The source's name, as figures will show it. */
  source: string
  now?: () => number
}

/** Events of a list, read in a thread and taken one at a time. */
async function* inThread(entry: string, file: string, columns: ColumnMap | null): AsyncGenerator<ListEvent> {
  const worker = new Worker(entry, { workerData: { file, columns }, resourceLimits: { maxOldGenerationSizeMb: 256 } })
  const queue: ListMessage[] = []
  let wake: () => void = () => undefined
  const put = (message: ListMessage) => { queue.push(message); wake() }
  worker.on('message', put)
  worker.on('error', error => put({ kind: 'problem', message: `The list could not be read: ${error.message}` }))
  try {
    for (;;) {
      if (!queue.length) await new Promise<void>(resolve => { wake = resolve })
      const message = queue.shift()
      if (!message) continue
      if (message.kind === 'end') return
      if (message.kind === 'problem') throw new Error(message.message)
      yield message.event
      worker.postMessage('taken')
    }
  } finally {
    await worker.terminate()
  }
}

/**
 * Imports a list: read in a thread, written here in transactions of at most 1,000 rows with the
 * event loop free between them, so that an autosave never waits for the whole.
 *
 * @throws Error with a message for the user when the file cannot be read; what was written stays.
 */
export async function importPhrases(phrases: PhraseStore, entry: string, options: ImportOptions): Promise<ImportResult> {
  const { file, columns, region, language, source, now = Date.now } = options
  const answer: ImportAnswer = { accepted: 0, updated: 0, rejected: [], rejectedMore: 0, columns: {} }
  const at = now()
  for await (const event of inThread(entry, file, columns)) {
    if (event.kind === 'unknown-columns') return { kind: 'unknown-columns', headers: event.headers, sample: event.sample }
    if (event.kind === 'columns') {
      for (const [column, index] of Object.entries(event.map)) answer.columns[column] = event.headers[index] ?? `column ${index + 1}`
      continue
    }
    const figures = event.phrases.map(each => ({ ...each, region: each.region ?? region, months: each.months ?? undefined }))
    const saved = phrases.save(figures, language, { name: source, kind: 'import' }, at)
    answer.accepted += saved.accepted
    answer.updated += saved.updated
    for (const line of event.rejected) {
      if (answer.rejected.length < TOLD) answer.rejected.push(line)
      else answer.rejectedMore++
    }
    await new Promise(resolve => setImmediate(resolve))
  }
  phrases.settle({ name: source, kind: 'import' })
  phrases.capDue()
  return { kind: 'imported', answer }
}

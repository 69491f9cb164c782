import { Worker } from 'node:worker_threads'
import type { ColumnMap } from '../../core/formats/phraseList'
import type { ImportProgress } from '../../shared/imports'
import type { ImportAnswer } from '../../shared/phrases'
import type { PhraseStore, ToldFigure } from '../data/phrases'
import { unpackBatch, type PackedBatch } from '../jobs/listBatch'
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
  /** Told the phrases of each batch once they are kept: for a list they go into. */
  into?: (texts: string[]) => void
  /** Ends it after the batch at work. */
  signal?: AbortSignal
  /** Told how far it is, after each batch. */
  tell?: (progress: ImportProgress) => void
  now?: () => number
}

/** A batch's rows as figures; those that name no region tell of this one. */
const figuresOf = (batch: PackedBatch, region: string): ToldFigure[] => unpackBatch(batch).map(({ phrase, volume, change, competition, advertiser, region: told, months }) => ({
  phrase, region: told ?? region, volume, change, competition, advertiser, months: months ?? undefined, keyed: true,
}))

/** Events of a list, read in a thread and taken one at a time. */
async function* inThread(entry: string, file: string, columns: ColumnMap | null): AsyncGenerator<ListEvent> {
  const worker = new Worker(entry, { workerData: { file, columns }, resourceLimits: { maxOldGenerationSizeMb: 128, maxYoungGenerationSizeMb: 16 } })
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
      yield message
      worker.postMessage('taken')
    }
  } finally {
    await worker.terminate()
  }
}

/**
 * Imports a list: read in a thread, written here in transactions of at most 2,000 rows with the
 * event loop free between them, so that an autosave never waits for the whole.
 *
 * @throws Error with a message for the user when the file cannot be read; what was written stays.
 */
export async function importPhrases(phrases: PhraseStore, entry: string, options: ImportOptions): Promise<ImportResult> {
  const { file, columns, region, language, source, into, signal, tell, now = Date.now } = options
  const answer: ImportAnswer = { accepted: 0, updated: 0, rejected: [], rejectedMore: 0, columns: {} }
  const at = now()
  for await (const event of inThread(entry, file, columns)) {
    if (event.kind === 'unknown-columns') return { kind: 'unknown-columns', headers: event.headers, sample: event.sample }
    if (event.kind === 'columns') {
      for (const [column, index] of Object.entries(event.map)) answer.columns[column] = event.headers[index] ?? `column ${index + 1}`
      continue
    }
    if (event.kind === 'refused') {
      const told = event.lines.slice(0, TOLD - answer.rejected.length)
      answer.rejected.push(...told)
      answer.rejectedMore += event.lines.length - told.length
      continue
    }
    const figures = figuresOf(event.batch, region)
    const saved = phrases.save(figures, language, { name: source, kind: 'import' }, at)
    answer.accepted += saved.accepted
    answer.updated += saved.updated
    into?.(figures.map(each => each.phrase))
    tell?.({ part: event.part, said: `${(answer.accepted + answer.updated).toLocaleString('en')} phrases kept` })
    await new Promise(resolve => setImmediate(resolve))
    if (signal?.aborted) break
  }
  phrases.settle({ name: source, kind: 'import' })
  return { kind: 'imported', answer }
}

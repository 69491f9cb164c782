import { Worker } from 'node:worker_threads'
import type { ImportEvents, ImportKind, ImportMessage, ImportQuestions } from './importThread'

/** Lists put in order take some memory; of pages and places only a batch is held at a time. */
const HEAP_MB: Record<ImportKind, number> = { phrases: 160, pages: 320, places: 96 }

const problemOf = (error: Error & { code?: string }) => error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? 'One record of the file is too large to be read. Split the file, or save it as CSV.' : `The file could not be read: ${error.message}`

/**
 * What a file holds, read in a thread and taken one event at a time.
 * @param entry the built thread.
 * @throws Error with a message for the user when the file cannot be read.
 */
export async function* readInThread<Kind extends ImportKind>(entry: string, kind: Kind, question: ImportQuestions[Kind]): AsyncGenerator<ImportEvents[Kind]> {
  const worker = new Worker(entry, { workerData: { kind, question }, resourceLimits: { maxOldGenerationSizeMb: HEAP_MB[kind], maxYoungGenerationSizeMb: 16 } })
  const queue: ImportMessage[] = []
  let wake: () => void = () => undefined
  const put = (message: ImportMessage) => { queue.push(message); wake() }
  worker.on('message', put)
  worker.on('error', (error) => { put({ problem: problemOf(error) }) })
  try {
    for (;;) {
      if (!queue.length) await new Promise<void>((resolve) => { wake = resolve })
      const message = queue.shift()
      if (!message) continue
      if ('end' in message) return
      if ('problem' in message) throw new Error(message.problem)
      yield message.event as ImportEvents[Kind]
      worker.postMessage('taken')
    }
  } finally {
    await worker.terminate()
  }
}

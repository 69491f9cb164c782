import { statSync } from 'node:fs'
import { Worker } from 'node:worker_threads'
import type { ImportEvents, ImportKind, ImportMessage, ImportOrder, ImportQuestions } from './importThread'

/** Whatever is read, no more than some batches of it are held at a time. */
const HEAP_MB = 320

/** Starting a thread takes longer than reading a short file: one that has read such a file to the end waits for the next. After a long one its memory is given back. */
const SHORT = 4 * 1024 * 1024
const idle = new Map<string, Worker>()

const problemOf = (error: Error & { code?: string }) => error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? 'One record of the file is too large to be read. Split the file, or save it as CSV.' : `The file could not be read: ${error.message}`

function readyThread(entry: string): Worker {
  const waiting = idle.get(entry)
  idle.delete(entry)
  return waiting ?? new Worker(entry, { resourceLimits: { maxOldGenerationSizeMb: HEAP_MB, maxYoungGenerationSizeMb: 16 } })
}

/** Keeps a thread for the next file, or ends it where one is waiting already. */
async function release(entry: string, worker: Worker): Promise<void> {
  worker.removeAllListeners()
  if (idle.has(entry)) return void await worker.terminate()
  idle.set(entry, worker)
  worker.unref()
  worker.once('error', () => { if (idle.get(entry) === worker) idle.delete(entry) })
}

/**
 * What a file holds, read in a thread and taken one event at a time.
 * @param entry the built thread.
 * @throws Error with a message for the user when the file cannot be read.
 */
export async function* readInThread<Kind extends ImportKind>(entry: string, kind: Kind, question: ImportQuestions[Kind]): AsyncGenerator<ImportEvents[Kind]> {
  const worker = readyThread(entry)
  const queue: ImportMessage[] = []
  let wake: () => void = () => undefined
  const put = (message: ImportMessage) => { queue.push(message); wake() }
  worker.removeAllListeners()
  worker.ref()
  worker.on('message', put)
  worker.on('error', (error) => { put({ problem: problemOf(error), ended: true }) })
  worker.postMessage({ kind, question } as ImportOrder)
  let atRest = false
  try {
    for (;;) {
      if (!queue.length) await new Promise<void>((resolve) => { wake = resolve })
      const message = queue.shift()
      if (!message) continue
      if ('end' in message) { atRest = true; return }
      if ('problem' in message) {
        atRest = !message.ended
        throw new Error(message.problem)
      }
      yield message.event as ImportEvents[Kind]
      worker.postMessage('taken' satisfies ImportOrder)
    }
  } finally {
    // One that is stopped in the middle is ended with whatever it holds.
    if (atRest && (statSync(question.file, { throwIfNoEntry: false })?.size ?? Infinity) < SHORT) await release(entry, worker)
    else await worker.terminate()
  }
}

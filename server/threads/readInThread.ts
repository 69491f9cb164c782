import { statSync } from 'node:fs'
import { Worker } from 'node:worker_threads'
import type { ImportEvents, ImportKind, ImportMessage, ImportOrder, ImportQuestions } from './importThread'

/** Whatever is read, no more than some batches of it are held at a time. */
const HEAP_MB = 320

/**
 * Starting a thread takes longer than reading a short file: such files are read by a few threads in turn, which stay. A
 * long one has a thread of its own, whose memory is given back.
 */
const SHORT = 4 * 1024 * 1024
const THREADS = 2
/** By their entry: those that wait for a file, how many there are, and who waits for one of them. */
const shared = new Map<string, { idle: Worker[]; all: number; waiting: (() => void)[] }>()

const problemOf = (error: Error & { code?: string }) =>
  error.code === 'ERR_WORKER_OUT_OF_MEMORY'
    ? 'One record of the file is too large to be read. Split the file, or save it as CSV.'
    : `The file could not be read: ${error.message}`

const started = (entry: string) =>
  new Worker(entry, { resourceLimits: { maxOldGenerationSizeMb: HEAP_MB, maxYoungGenerationSizeMb: 16 } })

/** A thread to read a file, with what is to be done when it has: `atRest` says whether it could read another. */
async function threadFor(
  entry: string,
  short: boolean,
): Promise<{ worker: Worker; done: (atRest: boolean) => Promise<unknown> }> {
  if (!short) {
    const worker = started(entry)
    return { worker, done: () => worker.terminate() }
  }
  const threads = shared.get(entry) ?? { idle: [], all: 0, waiting: [] }
  shared.set(entry, threads)
  while (!threads.idle.length && threads.all >= THREADS)
    await new Promise<void>(resolve => {
      threads.waiting.push(resolve)
    })
  const worker = threads.idle.pop() ?? (threads.all++, started(entry))
  const gone = () => {
    threads.idle = threads.idle.filter(each => each !== worker)
    threads.all--
    threads.waiting.shift()?.()
  }
  return {
    worker,
    async done(atRest) {
      worker.removeAllListeners('message')
      worker.removeAllListeners('error')
      if (!atRest) {
        await worker.terminate()
        return gone()
      }
      worker.unref()
      worker.once('error', gone)
      threads.idle.push(worker)
      threads.waiting.shift()?.()
    },
  }
}

/**
 * What a file holds, read in a thread and taken one event at a time.
 * @param entry the built thread.
 * @throws Error with a message for the user when the file cannot be read.
 */
export async function* readInThread<Kind extends ImportKind>(
  entry: string,
  kind: Kind,
  question: ImportQuestions[Kind],
): AsyncGenerator<ImportEvents[Kind]> {
  // A short one that is stopped in the middle is ended too, with whatever it holds.
  const { worker, done } = await threadFor(
    entry,
    (statSync(question.file, { throwIfNoEntry: false })?.size ?? 0) < SHORT,
  )
  const queue: ImportMessage[] = []
  let wake: () => void = () => undefined
  const put = (message: ImportMessage) => {
    queue.push(message)
    wake()
  }
  worker.removeAllListeners('error')
  worker.ref()
  worker.on('message', put)
  worker.on('error', error => {
    put({ problem: problemOf(error), ended: true })
  })
  worker.postMessage({ kind, question } as ImportOrder)
  let atRest = false
  try {
    for (;;) {
      if (!queue.length)
        await new Promise<void>(resolve => {
          wake = resolve
        })
      const message = queue.shift()
      if (!message) continue
      if ('end' in message) {
        atRest = true
        return
      }
      if ('problem' in message) {
        atRest = !message.ended
        throw new Error(message.problem)
      }
      yield message.event as ImportEvents[Kind]
      worker.postMessage('taken' satisfies ImportOrder)
    }
  } finally {
    await done(atRest)
  }
}

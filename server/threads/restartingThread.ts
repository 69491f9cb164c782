/// <reference path="./comlink-node.d.ts" />
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { Worker, type WorkerOptions } from 'node:worker_threads'

/** A thread ended while it was asked something: what it was asked can be asked again. */
export class ThreadEnded extends Error {
  constructor(
    readonly what: string,
    cause: unknown,
  ) {
    super(`${what} had to be restarted. Try again.`, { cause })
    this.name = 'ThreadEnded'
  }
}

/** A question took so long that its thread was ended. */
export class ThreadLate extends Error {
  constructor(what: string, ms: number) {
    super(`${what} took longer than ${Math.round(ms / 1000)} seconds and was stopped. Try again with less text.`)
    this.name = 'ThreadLate'
  }
}

export interface RestartingThread<Served> {
  /**
   * Asks the thread, starting it when it does not run.
   * @param longest milliseconds after which the thread is ended, with whatever else it was asked; counted from when it
   * has started. No bound unless given.
   * @throws ThreadEnded when it ends before it answers, ThreadLate when that is since this question took too long.
   */
  ask: <Answer>(question: (remote: Comlink.Remote<Served>) => Promise<Answer>, longest?: number) => Promise<Answer>
  running: () => boolean
  close: () => Promise<void>
}

/**
 * A worker thread that is started when it is first asked and started anew when it has ended; nobody is left waiting for
 * an answer that cannot come.
 *
 * @param what the thread's name in a message, as “The index of phrases”.
 */
export function restartingThread<Served>(
  what: string,
  entry: string,
  options: WorkerOptions = {},
): RestartingThread<Served> {
  interface Running {
    worker: Worker
    remote: Comlink.Remote<Served>
    ended: Promise<never>
    /** Settled once it hears what it is asked: on a busy machine a thread takes long to start. */
    listening: Promise<unknown>
    /** Whoever still waits for it is told, and who asks next gets a new one. */
    end: (cause: unknown) => void
  }
  let current: Running | undefined
  let closing = false
  function start(): Running {
    const worker = new Worker(entry, options)
    worker.unref()
    let tell: (error: ThreadEnded) => void
    const ended = new Promise<never>((_, reject) => {
      tell = reject
    })
    ended.catch(() => undefined)
    const end = (cause: unknown) => {
      if (current?.worker !== worker) return
      current = undefined
      if (!closing) console.error(`${what} ended:`, cause)
      tell(new ThreadEnded(what, cause))
    }
    worker.once('error', end)
    worker.once('exit', code => {
      end(`exit code ${code}`)
    })
    const remote = Comlink.wrap<Served>(nodeEndpoint(worker))
    // Anything is answered, also a name that it does not have.
    const answered = (remote as unknown as Record<string, Promise<unknown>>).listening!
    const listening = Promise.race([answered, ended]).catch(() => undefined)
    return (current = { worker, remote, ended, listening, end })
  }
  return {
    async ask(question, longest) {
      const { worker, remote, ended, listening, end } = current ?? start()
      if (longest === undefined) return Promise.race([question(remote), ended])
      let timer: NodeJS.Timeout | undefined
      let waiting = true
      const late = new Promise<never>((_, reject) => {
        const endLate = () => {
          const error = new ThreadLate(what, longest)
          reject(error)
          end(error)
          void worker.terminate()
        }
        void listening.then(() => {
          if (waiting) timer = setTimeout(endLate, longest)
        })
      })
      return Promise.race([question(remote), ended, late]).finally(() => {
        waiting = false
        clearTimeout(timer)
      })
    },
    running: () => current !== undefined,
    async close() {
      closing = true
      await current?.worker.terminate()
    },
  }
}

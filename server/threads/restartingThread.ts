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
   * @param longest milliseconds after which the thread is ended; counted from when it has started and has answered all
   * that it was asked before. What waits behind is asked again of the next thread. No bound unless given.
   * @throws ThreadEnded when it ends by itself before it answers, ThreadLate when this question took too long.
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
    /**
     * An answer of the thread, or ThreadEnded. Whoever waits is kept only as long as they wait: a promise of the end
     * that all of them raced against would keep every answer until then.
     */
    orEnded: <Answer>(answer: Promise<Answer>) => Promise<Answer>
    /**
     * Settled once it hears what it is asked, which takes long on a busy machine, and has answered all questions with
     * a bound that it was asked so far.
     */
    answered: Promise<unknown>
    /** Whoever still waits for it is told, and who asks next gets a new one. */
    end: (cause: unknown) => void
  }
  let current: Running | undefined
  let closing = false
  function start(): Running {
    const worker = new Worker(entry, options)
    worker.unref()
    const waiting = new Set<(error: ThreadEnded) => void>()
    const orEnded: Running['orEnded'] = answer =>
      new Promise((resolve, reject) => {
        waiting.add(reject)
        answer.then(resolve, reject).finally(() => waiting.delete(reject))
      })
    const end = (cause: unknown) => {
      if (current?.worker !== worker) return
      current = undefined
      if (!closing) console.error(`${what} ended:`, cause)
      const error = new ThreadEnded(what, cause)
      for (const fail of waiting) fail(error)
      waiting.clear()
    }
    worker.once('error', end)
    worker.once('exit', code => {
      end(`exit code ${code}`)
    })
    const remote = Comlink.wrap<Served>(nodeEndpoint(worker))
    // Anything is answered, also a name that it does not have.
    const heard = (remote as unknown as Record<string, Promise<unknown>>).listening!
    const listening = orEnded(heard).catch(() => undefined)
    return (current = { worker, remote, orEnded, answered: listening, end })
  }
  async function askOnce<Answer>(
    question: (remote: Comlink.Remote<Served>) => Promise<Answer>,
    longest: number | undefined,
  ): Promise<Answer> {
    const thread = current ?? start()
    const { worker, remote, orEnded, answered, end } = thread
    if (longest === undefined) return orEnded(question(remote))
    let timer: NodeJS.Timeout | undefined
    let waiting = true
    const late = new Promise<never>((_, reject) => {
      const endLate = () => {
        const error = new ThreadLate(what, longest)
        reject(error)
        end(error)
        void worker.terminate()
      }
      void answered.then(() => {
        if (waiting) timer = setTimeout(endLate, longest)
      })
    })
    const answer = Promise.race([orEnded(question(remote)), late]).finally(() => {
      waiting = false
      clearTimeout(timer)
    })
    // Without what they answered, which would be kept from one to the next.
    thread.answered = Promise.allSettled([answered, answer]).then(() => undefined)
    return answer
  }
  return {
    async ask(question, longest) {
      for (;;) {
        try {
          return await askOnce(question, longest)
        } catch (error) {
          // Another question took too long: this one was only waiting behind it.
          if (closing || !(error instanceof ThreadEnded && error.cause instanceof ThreadLate)) throw error
        }
      }
    },
    running: () => current !== undefined,
    async close() {
      closing = true
      await current?.worker.terminate()
    },
  }
}

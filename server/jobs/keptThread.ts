/// <reference path="./comlink-node.d.ts" />
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { Worker, type WorkerOptions } from 'node:worker_threads'

/** A thread ended while it was asked something: what it was asked can be asked again. */
export class ThreadEnded extends Error {
  constructor(readonly what: string, cause: unknown) {
    super(`${what} had to be started again. Ask once more.`, { cause })
    this.name = 'ThreadEnded'
  }
}

export interface KeptThread<Served> {
  /** Asks the thread, starting it when it does not run. @throws ThreadEnded when it ends before it answers. */
  ask: <Answer>(question: (remote: Comlink.Remote<Served>) => Promise<Answer>) => Promise<Answer>
  running: () => boolean
  close: () => Promise<void>
}

/**
 * A worker thread that is started when it is first asked and started anew when it has ended; nobody is left waiting for an
 * answer that cannot come.
 *
 * @param what the thread's name in a message, as “The index of phrases”.
 */
export function keptThread<Served>(what: string, entry: string, options: WorkerOptions = {}): KeptThread<Served> {
  let current: { worker: Worker, remote: Comlink.Remote<Served>, ended: Promise<never> } | undefined
  let closing = false
  function start() {
    const worker = new Worker(entry, options)
    worker.unref()
    const ended = new Promise<never>((_, reject) => {
      const end = (cause: unknown) => {
        if (current?.worker === worker) current = undefined
        if (!closing) console.error(`${what} ended:`, cause)
        reject(new ThreadEnded(what, cause))
      }
      worker.once('error', end)
      worker.once('exit', code => { if (current?.worker === worker) end(`exit code ${code}`) })
    })
    ended.catch(() => undefined)
    return current = { worker, remote: Comlink.wrap<Served>(nodeEndpoint(worker)), ended }
  }
  return {
    ask(question) {
      const { remote, ended } = current ?? start()
      return Promise.race([question(remote), ended])
    },
    running: () => current !== undefined,
    async close() {
      closing = true
      await current?.worker.terminate()
    },
  }
}

import { Worker } from 'node:worker_threads'
import type { SpaceAnswer } from '../../shared/space'

/** Measures what takes space in a user's file, in a thread that ends with it. @param entry the built thread. */
export function measureSpace(entry: string, file: string): Promise<SpaceAnswer> {
  return new Promise((tell, fail) => {
    const worker = new Worker(entry, { workerData: { file } })
    worker.unref()
    worker.once('message', tell)
    worker.once('error', fail)
    worker.once('exit', () => { fail(new Error('The space could not be measured.')) })
  })
}

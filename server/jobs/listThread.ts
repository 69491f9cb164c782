import { parentPort, workerData } from 'node:worker_threads'
import type { ColumnMap } from '../../core/formats/phraseList'
import { readList, type ListEvent } from './readList'

/** What the thread says; after each event it waits until the reader has taken it. */
export type ListMessage = { kind: 'event', event: ListEvent } | { kind: 'end' } | { kind: 'problem', message: string }

const { file, columns } = workerData as { file: string, columns: ColumnMap | null }
const port = parentPort!
const taken = () => new Promise<void>(resolve => port.once('message', () => resolve()))

async function run(): Promise<void> {
  for await (const event of readList(file, columns)) {
    port.postMessage({ kind: 'event', event } satisfies ListMessage)
    await taken()
  }
  port.postMessage({ kind: 'end' } satisfies ListMessage)
}

run().catch((error: unknown) => port.postMessage({ kind: 'problem', message: (error as Error).message } satisfies ListMessage))

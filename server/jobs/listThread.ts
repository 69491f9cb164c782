import { parentPort, workerData } from 'node:worker_threads'
import type { ColumnMap } from '../../core/formats/phraseList'
import { readList, type ListEvent } from './readList'

/** What the thread says. It reads ahead of the one who writes, but never far: a list of any length takes little memory. */
export type ListMessage = { kind: 'event', event: ListEvent } | { kind: 'end' } | { kind: 'problem', message: string }

const { file, columns } = workerData as { file: string, columns: ColumnMap | null }
const port = parentPort!
const AHEAD = 4
let waiting = 0
let wake: (() => void) | undefined
port.on('message', () => {
  waiting--
  wake?.()
})

async function run(): Promise<void> {
  for await (const event of readList(file, columns)) {
    port.postMessage({ kind: 'event', event } satisfies ListMessage)
    waiting++
    while (waiting >= AHEAD) await new Promise<void>((resolve) => { wake = resolve })
  }
  port.postMessage({ kind: 'end' } satisfies ListMessage)
  port.close()
}

run().catch((error: unknown) => { port.postMessage({ kind: 'problem', message: (error as Error).message } satisfies ListMessage) })

import { parentPort, workerData } from 'node:worker_threads'
import type { ColumnMap } from '../../core/formats/phraseList'
import { handedOver } from './listBatch'
import { readList, type ListEvent } from './readList'

/** What the thread says. It reads ahead of the one who writes, but never far: a list of any length takes little memory. */
export type ListMessage = ListEvent | { kind: 'end' } | { kind: 'problem', message: string }

const { file, columns } = workerData as { file: string, columns: ColumnMap | null }
const port = parentPort!
/** As many as are put in order at once: the next ones are read while these are written. */
const AHEAD = 100
let waiting = 0
let wake: (() => void) | undefined
port.on('message', () => {
  waiting--
  wake?.()
})

async function run(): Promise<void> {
  for await (const event of readList(file, columns)) {
    port.postMessage(event satisfies ListMessage, event.kind === 'batch' ? handedOver(event.batch) : [])
    waiting++
    while (waiting >= AHEAD) await new Promise<void>((resolve) => { wake = resolve })
  }
  port.postMessage({ kind: 'end' } satisfies ListMessage)
  port.close()
}

run().catch((error: unknown) => { port.postMessage({ kind: 'problem', message: (error as Error).message } satisfies ListMessage) })

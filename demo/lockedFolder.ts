import { join } from 'node:path'
import { DataProblem } from '../server/data/dataProblem'
import { lockFolder } from '../server/data/folderLock'

/**
 * Does work on a data folder that no other program may use meanwhile; one that is in use or cannot be written ends this
 * one with a message.
 */
export async function withFolder(data: string, work: () => void | Promise<void>): Promise<void> {
  try {
    const giveBack = lockFolder(join(data, 'fonetra.lock'), null)
    try {
      await work()
    } finally {
      giveBack()
    }
  } catch (error) {
    if (!(error instanceof DataProblem)) throw error
    console.error(`\n${error.message}`)
    process.exit(1)
  }
}

import type { SpaceAnswer } from '../../shared/space'
import type { FileThread } from './fileThread'
import { restartingThread } from './restartingThread'

export interface FileWork {
  /** What takes space in the file. Those who ask meanwhile are answered together. */
  space: () => Promise<SpaceAnswer>
  /** Copies the file while it is being used. @throws Error with SQLite's code, as a connection of one's own would. */
  copy: (to: string) => Promise<void>
  /** Removes pictures that nothing names any more. @returns how many. */
  removeUnusedPictures: (now: number) => Promise<number>
  close: () => Promise<void>
}

/**
 * Work that reads a user's whole file, done in a thread so that no request waits for it.
 * @param entry the built thread. @param index the file in which the index of phrases is kept.
 */
export function startFileWork(entry: string, file: string, index: string): FileWork {
  const thread = restartingThread<FileThread>('Reading the whole file', entry, {
    workerData: { file, index },
    resourceLimits: { maxOldGenerationSizeMb: 32, maxYoungGenerationSizeMb: 4 },
  })
  let underWay: Promise<SpaceAnswer> | null = null
  return {
    space: () =>
      (underWay ??= thread
        .ask(remote => remote.space())
        .finally(() => {
          underWay = null
        })),
    copy: to =>
      thread
        .ask(remote => remote.copy(to))
        .catch((error: Error) => {
          throw error.name.startsWith('SQLITE_') ? Object.assign(error, { code: error.name }) : error
        }),
    removeUnusedPictures: now => thread.ask(remote => remote.removeUnusedPictures(now)),
    close: thread.close,
  }
}

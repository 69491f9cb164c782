import type { PageReader } from '../rivals/pageReader'
import { restartingThread } from './restartingThread'
import type { ReadingThread } from './readingThread'

/**
 * The thread that reads result pages, started when it is first needed.
 *
 * @param entry the built thread. @param file the user's.
 */
export function startReading(entry: string, file: string): PageReader & { close: () => Promise<void> } {
  const thread = restartingThread<ReadingThread>('The thread that reads result pages', entry, {
    workerData: { file },
    resourceLimits: { maxYoungGenerationSizeMb: 16 },
  })
  return { read: pages => thread.ask(remote => remote.read(pages)), close: thread.close }
}

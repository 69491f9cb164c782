import type { SpaceAnswer } from '../../shared/space'
import { keptThread } from './keptThread'
import type { SpaceThread } from './spaceThread'

export interface SpaceMeasure { space: () => Promise<SpaceAnswer>, close: () => Promise<void> }

/** What takes space in a user's file, measured in a thread: the whole file is read. Those who ask meanwhile are answered together. @param entry the built thread. */
export function startSpace(entry: string, file: string): SpaceMeasure {
  const thread = keptThread<SpaceThread>('The measuring of space', entry, { workerData: { file }, resourceLimits: { maxOldGenerationSizeMb: 32, maxYoungGenerationSizeMb: 4 } })
  let underWay: Promise<SpaceAnswer> | null = null
  return {
    space: () => underWay ??= thread.ask(remote => remote.space()).finally(() => { underWay = null }),
    close: thread.close,
  }
}

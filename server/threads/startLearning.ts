import type { ModelToJudgeBy, ModelToKeep } from '../data/chanceModels'
import type { ChanceThread } from './chanceThread'
import { restartingThread } from './restartingThread'

/** Learns how a site ranks, in a thread of its own. */
export interface Learning {
  /** Whole pages kept, by region and source, most first. */
  counts: () => Promise<{ region: string; source: string; pages: number }[]>
  /** @returns `null` where there are too few pages. */
  learn: (region: string, source: string) => Promise<ModelToKeep | null>
  /** What the pages of phrases ask by a model. */
  judge: (by: ModelToJudgeBy, phraseIds: number[]) => Promise<ModelToKeep['hurdles']>
  close: () => Promise<void>
}

/** @param entry the built thread. */
export function startLearning(entry: string, file: string): Learning {
  const thread = restartingThread<ChanceThread>('Learning from result pages', entry, {
    workerData: { file },
    resourceLimits: { maxOldGenerationSizeMb: 1024, maxYoungGenerationSizeMb: 32 },
  })
  return {
    counts: () => thread.ask(remote => remote.counts()),
    learn: (...of) => thread.ask(remote => remote.learn(...of)),
    judge: (...of) => thread.ask(remote => remote.judge(...of)),
    close: thread.close,
  }
}

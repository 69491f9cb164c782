import { availableParallelism } from 'node:os'
import type { CheckEvidence } from '../../core/evidence/evidence'
import type { EvidencePages } from '../../shared/evidence'
import type { SavedReading } from '../data/evidence'
import type { EvidenceThread, Rules } from './evidenceThread'
import { restartingThread } from './restartingThread'

/** Goes through the result pages kept, in threads of its own. */
export interface EvidenceWork {
  /** Pages not read by some rules yet. */
  unread: (rules: number) => Promise<number>
  /** How many shares the pages are read in, side by side. */
  shares: number
  readSome: (rules: Rules, share: number, after: number, most: number) => Promise<SavedReading[]>
  evidence: (
    rules: number,
    ids: readonly string[],
    pages: EvidencePages,
  ) => Promise<{ pages: number; families: number; checks: CheckEvidence[] }>
  close: () => Promise<void>
}

/** More threads than this would leave nothing to whoever works meanwhile. */
const MOST_THREADS = 2

/** @param entry the built thread. */
export function startEvidence(
  entry: string,
  file: string,
  threads = Math.min(MOST_THREADS, availableParallelism()),
): EvidenceWork {
  const started = Array.from({ length: threads }, () =>
    restartingThread<EvidenceThread>('Reading result pages for evidence', entry, {
      workerData: { file },
      resourceLimits: { maxOldGenerationSizeMb: 512, maxYoungGenerationSizeMb: 16 },
    }),
  )
  const first = started[0]!
  return {
    unread: rules => first.ask(remote => remote.unread(rules)),
    shares: threads,
    readSome: (rules, share, after, most) =>
      started[share]!.ask(remote => remote.readSome(rules, { share, of: threads }, after, most)),
    evidence: (...question) => first.ask(remote => remote.evidence(...question)),
    async close() {
      await Promise.all(started.map(thread => thread.close()))
    },
  }
}

import type { CheckEvidence } from '../../core/evidence/evidence'
import type { EvidencePages } from '../../shared/evidence'
import type { SavedReading } from '../data/evidence'
import type { EvidenceThread, Rules } from './evidenceThread'
import { restartingThread } from './restartingThread'

/** Goes through the result pages kept, in a thread of its own. */
export interface EvidenceWork {
  /** Pages not read by some rules yet. */
  unread: (rules: number) => Promise<number>
  readSome: (rules: Rules, after: number, most: number) => Promise<SavedReading[]>
  evidence: (
    rules: number,
    ids: readonly string[],
    pages: EvidencePages,
  ) => Promise<{ pages: number; families: number; checks: CheckEvidence[] }>
  close: () => Promise<void>
}

/** @param entry the built thread. */
export function startEvidence(entry: string, file: string): EvidenceWork {
  const thread = restartingThread<EvidenceThread>('Reading result pages for evidence', entry, {
    workerData: { file },
    resourceLimits: { maxOldGenerationSizeMb: 512, maxYoungGenerationSizeMb: 16 },
  })
  return {
    unread: rules => thread.ask(remote => remote.unread(rules)),
    readSome: (...question) => thread.ask(remote => remote.readSome(...question)),
    evidence: (...question) => thread.ask(remote => remote.evidence(...question)),
    close: thread.close,
  }
}

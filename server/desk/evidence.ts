import { createHash } from 'node:crypto'
import { CHECKS } from '../../core/draft/checks'
import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import { weightsFrom } from '../../core/evidence/weights'
import { phraseKey } from '../../core/text/words'
import { MODEL_VERSION } from '../../core/modelVersion'
import type { EvidenceAnswer, EvidencePages } from '../../shared/evidence'
import type { Runtime } from '../runtime'

type Kept = Pick<EvidenceAnswer, 'pages' | 'families' | 'checks'>
type Store = Pick<Runtime, 'evidence' | 'evidenceWork' | 'now'>

/** Pages read between two looks at whether to stop. */
const TOGETHER = 40

/** Every check at the thresholds of a set: weights do not matter to what it says of a result. */
const allOf = (set: RuleSet): RuleSet => ({
  ...set,
  checks: Object.fromEntries(
    CHECKS.map(({ id }) => {
      const settings = set.checks[id]?.settings
      return [id, { weight: 1, ...(settings ? { settings } : {}) }]
    }),
  ),
})

/** What makes readings the same: the checks with their versions, their thresholds, the limits, the model. */
function keyOf(set: RuleSet, profile: LimitProfile): string {
  const checks = CHECKS.map(({ id, version }) => [id, version, Object.entries(set.checks[id]?.settings ?? {}).sort()])
  return createHash('sha256')
    .update(JSON.stringify([MODEL_VERSION, checks, profile]))
    .digest('hex')
}
const pagesKey = ({ region, language, age, about, trade }: EvidencePages) =>
  JSON.stringify([
    region ?? '',
    language ?? '',
    age ?? '',
    about?.toLowerCase() ?? '',
    ...(trade ? [phraseKey(trade)] : []),
  ])

/** What is known by now of a rule set; nothing of it is worked out here. */
export async function evidenceAnswer(
  { evidence, evidenceWork }: Store,
  set: RuleSet,
  profile: LimitProfile,
  pages: EvidencePages,
): Promise<EvidenceAnswer> {
  const rules = evidence.knownRules(keyOf(set, profile))
  const found = rules === null ? null : evidence.answer(rules, pagesKey(pages))
  // Number 0 has read nothing.
  const unread = await evidenceWork.unread(rules ?? 0)
  if (!found) return { at: null, pages: 0, families: 0, checks: [], unread, weights: [] }
  const kept = found.answer as Kept
  return { at: found.at, ...kept, unread, weights: weightsFrom(set, kept.checks) }
}

/** How many steps `evidenceSteps` takes, as far as can be told. */
export async function evidenceTotal({ evidence, evidenceWork, now }: Store, set: RuleSet, profile: LimitProfile) {
  return 1 + (await evidenceWork.unread(evidence.rules(keyOf(set, profile), now())))
}

/**
 * Reads the pages not read yet and works the evidence out; a step is a page, the last one the answer. What was read
 * when it is stopped stays.
 */
export async function* evidenceSteps(
  { evidence, evidenceWork, now }: Store,
  set: RuleSet,
  profile: LimitProfile,
  pages: EvidencePages,
  signal: AbortSignal,
): AsyncGenerator<unknown> {
  const id = evidence.rules(keyOf(set, profile), now())
  const rules = { id, set: allOf(set), profile }
  const readOn = (share: number, after: number) => {
    const next = evidenceWork.readSome(rules, share, after, TOGETHER).then(readings => ({ share, readings }))
    // Who stops waits for it no more.
    next.catch(() => undefined)
    return next
  }
  const reading = new Map(Array.from({ length: evidenceWork.shares }, (_, share) => [share, readOn(share, 0)]))
  while (reading.size && !signal.aborted) {
    const { share, readings } = await Promise.race(reading.values())
    if (!readings.length) {
      reading.delete(share)
      continue
    }
    // The thread reads on while these are saved.
    reading.set(share, readOn(share, readings.at(-1)!.pageId))
    evidence.saveReadings(id, readings)
    for (const { pageId } of readings) yield { pageId }
  }
  if (signal.aborted) return
  const ids = CHECKS.map(check => check.id)
  const answer: Kept = await evidenceWork.evidence(id, ids, pages)
  evidence.saveAnswer(id, pagesKey(pages), now(), answer)
  yield answer
}

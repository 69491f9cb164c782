import { CHECKS } from '../draft/checks'
import type { RuleSet } from '../draft/ruleset'
import type { CheckEvidence } from './evidence'

/** What the pages kept suggest for the weight of one check. */
export interface WeightProposal {
  id: string
  before: number
  after: number
  /** Why, in one sentence. */
  reason: string
}

/** So many ranks, as far as they are sure, double a weight or take it away. */
const DOUBLED_AT = 4
/** Weights are proposed in steps of this. */
const STEP = 0.5

/** A trial that surely doubles what is compared doubles a weight. */
const DOUBLED_TIMES = 2
const stepped = (weight: number) => Math.round(weight / STEP) * STEP

/**
 * The weight of a check as a trial over one's own videos would have it, by the end of its interval that is nearer to no
 * difference; the weight stays where the interval holds 1.
 */
export function weightFromTrial(before: number, { low, high }: { low: number; high: number }): number {
  const share = (times: number) => Math.min(1, Math.log(times) / Math.log(DOUBLED_TIMES))
  if (low > 1) return stepped(before * (1 + share(low)))
  if (high < 1) return stepped(before * (1 - share(1 / high)))
  return before
}

const ranks = (n: number) => `${n.toFixed(1)} ${n === 1 ? 'rank' : 'ranks'}`

/**
 * Weights as the evidence would have them: more for what results stand higher with, less for what they stand lower
 * with, by the end of the interval that is nearer to nothing. What shows no clear difference stays as it is: that it
 * cannot be seen is no proof that it does not help. Limits and form, and promises kept, stay too: they are not there
 * for the rank.
 *
 * @returns those that change, greatest change first.
 */
export function weightsFrom(ruleSet: RuleSet, evidence: readonly CheckEvidence[]): WeightProposal[] {
  const questions = new Map(CHECKS.map(({ id, question }) => [id, question]))
  return evidence
    .flatMap(({ id, verdict, difference, low, high, pages }): WeightProposal[] => {
      const before = ruleSet.checks[id]?.weight ?? 0
      const question = questions.get(id)
      if (!before || (question !== 'found' && question !== 'chosen') || (verdict !== 'higher' && verdict !== 'lower'))
        return []
      const sure = verdict === 'higher' ? low! : -high!
      const share = Math.min(1, sure / DOUBLED_AT)
      const after = stepped(before * (verdict === 'higher' ? 1 + share : 1 - share))
      if (after === before) return []
      const reason = `Results that meet it stand ${ranks(Math.abs(difference!))} ${verdict} on ${pages.toLocaleString('en')} pages, at least ${ranks(sure)}.`
      return [{ id, before, after, reason }]
    })
    .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before))
}

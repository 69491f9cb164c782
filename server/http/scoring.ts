import { DEFAULT_PROFILE, type LimitProfile } from '../../core/draft/limits'
import { RULE_SETS, type RuleSet } from '../../core/draft/ruleset'
import { Problem } from './problem'

/** A rule set by id, or the one given whole. @throws Problem for an unknown id. */
export function ruleSetOf(given: string | RuleSet): RuleSet {
  if (typeof given !== 'string') return given
  const known = RULE_SETS.find(set => set.id === given)
  if (!known)
    throw new Problem(
      400,
      'unknown-rule-set',
      `There is no rule set “${given.slice(0, 60)}”. Known are ${RULE_SETS.map(set => set.id).join(', ')}.`,
    )
  return known
}

/** A limit profile by id, or the one given whole. @throws Problem for an unknown id. */
export function profileOf(given: string | LimitProfile): LimitProfile {
  if (typeof given !== 'string') return given
  if (given === DEFAULT_PROFILE.id) return DEFAULT_PROFILE
  throw new Problem(
    400,
    'unknown-profile',
    `There is no limit profile “${given.slice(0, 60)}”. Known is ${DEFAULT_PROFILE.id}.`,
  )
}

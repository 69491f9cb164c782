import { PROFILES, type LimitProfile } from '../../core/draft/limits'
import type { OwnProfile } from '../../core/draft/profileSchema'
import { RULE_SETS, type RuleSet } from '../../core/draft/ruleset'
import type { OwnRuleSet } from '../../core/draft/ruleSetSchema'
import type { Runtime } from '../runtime'
import { Problem } from './problem'

/** A rule set by its id, shipped or of one's own; `null` for an unknown id. */
export function knownRuleSet({ workspaceItems }: Pick<Runtime, 'workspaceItems'>, id: string): RuleSet | null {
  const shipped = RULE_SETS.find(set => set.id === id)
  if (shipped) return shipped
  const own = workspaceItems.get(id, 'ruleSet')
  return own && { format: 1, id, ...(own.item.value as OwnRuleSet) }
}

/** A rule set by id, or the one given whole. @throws Problem for an unknown id. */
export function ruleSetOf(runtime: Pick<Runtime, 'workspaceItems'>, given: string | RuleSet): RuleSet {
  if (typeof given !== 'string') return given
  const known = knownRuleSet(runtime, given)
  if (!known)
    throw new Problem(
      400,
      'unknown-rule-set',
      `There is no rule set “${given.slice(0, 60)}”. Known are ${RULE_SETS.map(set => set.id).join(', ')}, and your own by their ids.`,
    )
  return known
}

/** A limit profile by its id, shipped or of one's own; `null` for an unknown id. */
export function knownProfile({ workspaceItems }: Pick<Runtime, 'workspaceItems'>, id: string): LimitProfile | null {
  const shipped = PROFILES.find(profile => profile.id === id)
  if (shipped) return shipped
  const own = workspaceItems.get(id, 'limitProfile')
  return own && { format: 1, id, ...(own.item.value as OwnProfile) }
}

/** A limit profile by id, or the one given whole. @throws Problem for an unknown id. */
export function profileOf(runtime: Pick<Runtime, 'workspaceItems'>, given: string | LimitProfile): LimitProfile {
  if (typeof given !== 'string') return given
  const known = knownProfile(runtime, given)
  if (!known)
    throw new Problem(
      400,
      'unknown-profile',
      `There is no limit profile “${given.slice(0, 60)}”. Known are ${PROFILES.map(profile => profile.id).join(', ')}, and your own by their ids.`,
    )
  return known
}

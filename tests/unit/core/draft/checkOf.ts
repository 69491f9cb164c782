import type { Draft } from '../../../../core/draft/draft'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED, type RuleSet } from '../../../../core/draft/ruleset'
import { scoreDraft, type CheckResult } from '../../../../core/draft/score'

/** The result of one check alone, with a weight of 10, so that points are tenths of the fraction. */
export function checkOf(id: string, draft: Draft, { lead = '', support = [] as string[], settings = {} as Record<string, string | number>, language = 'en' } = {}): CheckResult {
  const set: RuleSet = { ...BALANCED, id: 'alone', checks: { [id]: { weight: 10, settings } } }
  const { checks } = scoreDraft(draft, { lead, support }, set, DEFAULT_PROFILE, language)
  expect(checks).toHaveLength(1)
  return checks[0]!
}

/** The texts a check points at, cut out of the draft by its ranges. */
export const pointedAt = (draft: Draft, check: CheckResult) => check.ranges.map(({ field, item, start, end }) => {
  const text = field === 'tags' ? draft.tags![item!]! : field === 'title' ? draft.title! : draft.description!
  return text.slice(start, end)
})

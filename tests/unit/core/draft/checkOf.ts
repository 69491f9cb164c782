import { NO_CONTEXT, type DraftContext } from '../../../../core/draft/context'
import { fixed, type Draft } from '../../../../core/draft/draft'
import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED, type RuleSet } from '../../../../core/draft/ruleset'
import { scoreDraft, type CheckResult } from '../../../../core/draft/score'

/**
 * The result of one check alone, with a weight of 10, so that points are tenths of the fraction; its fixes with the
 * value they make.
 */
export function checkOf(
  id: string,
  draft: Draft,
  {
    lead = '',
    support = [] as string[],
    settings = {} as Record<string, string | number>,
    language = 'en',
    context = {} as Partial<DraftContext>,
  } = {},
) {
  const set: RuleSet = { ...BALANCED, id: 'alone', checks: { [id]: { weight: 10, settings } } }
  const { checks } = scoreDraft(draft, { lead, support }, set, DEFAULT_PROFILE, language, {
    ...NO_CONTEXT,
    ...context,
  })
  expect(checks).toHaveLength(1)
  const check = checks[0]!
  return { ...check, fixes: check.fixes.map(fix => ({ ...fix, value: fixed(draft, fix) })) }
}

/** The texts a check points at, cut out of the draft by its ranges. */
export const pointedAt = (draft: Draft, check: Pick<CheckResult, 'ranges'>) =>
  check.ranges.map(({ field, item, start, end }) => {
    const text = field === 'tags' ? draft.tags![item!]! : field === 'title' ? draft.title! : draft.description!
    return text.slice(start, end)
  })

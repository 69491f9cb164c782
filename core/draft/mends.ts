import { fixed, type Draft, type DraftPhrases, type Fix } from './draft'
import { withHelpfulFixes } from './helpful'
import type { LimitProfile } from './limits'
import type { RuleSet } from './ruleset'
import { scoreDraft } from './score'

/** A ready-made change of a text that is out. */
export interface Mend {
  field: Exclude<Fix['field'], 'fileName'>
  label: string
  /** The check that it serves. */
  check: string
  /** Points it brings. */
  points: number
  /** The whole new value of the field. */
  value: string | string[]
}
/** What a text lacks, and what mends it. */
export interface Mends {
  /** Of the points; `null` where there is no lead to ask for. */
  percent: number | null
  /** The check that lacks most points; `null` where none does. */
  lacks: { check: string; points: number } | null
  mends: Mend[]
}

/** Less than this is no lack: it is what rounding leaves. */
const LEAST = 0.05

/** What a video’s texts lack under a set, and every ready-made change of title, description and tags that helps. */
export function mendsOf(
  draft: Draft,
  phrases: DraftPhrases,
  ruleSet: RuleSet,
  profile: LimitProfile,
  language: string,
): Mends {
  const question = [draft, phrases, ruleSet, profile, language] as const
  const { percent, checks } = withHelpfulFixes(scoreDraft(...question), ...question)
  const [lacks] = checks
    .map(({ id, outOf, points }) => ({ check: id, points: outOf - points }))
    .filter(({ points }) => points > LEAST)
    .sort((a, b) => b.points - a.points)
  return {
    percent,
    lacks: lacks ?? null,
    mends: checks.flatMap(({ id, fixes }) =>
      fixes.flatMap(fix =>
        fix.field === 'fileName'
          ? []
          : [{ field: fix.field, label: fix.label, check: id, points: fix.gain ?? 0, value: fixed(draft, fix) }],
      ),
    ),
  }
}

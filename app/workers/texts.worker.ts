import * as Comlink from 'comlink'
import type { Fix } from '../../core/draft/draft'
import { fixed } from '../../core/draft/draft'
import { withHelpfulFixes } from '../../core/draft/helpful'
import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import { pointsFor, pointsOf, scoreDraft, type Points } from '../../core/draft/score'
import { likelyLead, readVideoTexts, type ReadTexts, type VideoTexts } from '../../core/formats/videoTexts'
import { decodeText } from '../../core/formats/encoding'

/** What many texts are scored under. */
export interface ManyRules {
  ruleSet: RuleSet
  profile: LimitProfile
}

/** A text with the phrase it is scored for. */
export interface LedTexts extends VideoTexts {
  /** Whether the lead was guessed from tags that stand in the title. */
  guessed: boolean
}

/** The points of a text; `left` what each check still lacks, absent where it lacks nothing. */
export interface TextPoints extends Points {
  left: Record<string, number>
  /** Percent under a second set; absent where none is compared. */
  beside?: number | null
}

/** What one check would change in a text. */
export interface TextChange {
  /** Its place among the texts given. */
  at: number
  field: Fix['field']
  label: string
  gain: number
  before: string | string[]
  after: string | string[]
}

const draftOf = ({ title, description, tags }: VideoTexts) => ({
  title,
  ...(description === null ? {} : { description }),
  ...(tags === null ? {} : { tags }),
})

/** The texts read last, until they are asked for. */
let held: LedTexts[] = []

// Thousands of texts are read and weighed: none of it on the page's own thread.
const worker = {
  /**
   * Reads a file; its texts are then asked for part by part, so that the window goes on drawing.
   * @throws Error that says what is wrong with the file.
   */
  read(bytes: Uint8Array, language: string): Pick<ReadTexts, 'refused'> & { count: number } {
    const { texts, refused } = readVideoTexts(decodeText(bytes, language).text)
    held = texts.map(each =>
      each.lead
        ? { ...each, guessed: false }
        : { ...each, lead: likelyLead(each, each.language || language), guessed: true },
    )
    return { count: held.length, refused }
  },
  /** Some of the texts read last. A lead phrase is guessed where none is told. */
  part: (from: number, upTo: number): LedTexts[] => held.slice(from, upTo),
  /** The points of some texts, in order. @param beside a second set whose percent is wanted too. */
  score: (texts: LedTexts[], language: string, { ruleSet, profile }: ManyRules, beside: RuleSet | null): TextPoints[] =>
    texts.map(each => {
      const question = [draftOf(each), { lead: each.lead, support: each.support }] as const
      const spoken = each.language || language
      const { points, outOf, percent, tried } = pointsOf(...question, ruleSet, profile, spoken)
      const left: Record<string, number> = {}
      for (const check of tried) {
        const lacking = check.outcome.fraction === null ? 0 : check.weight - pointsFor(check)
        if (lacking > 0.05) left[check.check.id] = lacking
      }
      return {
        points,
        outOf,
        percent,
        left,
        ...(beside && { beside: pointsOf(...question, beside, profile, spoken).percent }),
      }
    }),
  /** What the best fix of one check changes in each text; texts it cannot help are left out. */
  changes: (texts: LedTexts[], language: string, { ruleSet, profile }: ManyRules, check: string): TextChange[] =>
    texts.flatMap((each, at): TextChange[] => {
      const draft = draftOf(each)
      const question = [
        draft,
        { lead: each.lead, support: each.support },
        ruleSet,
        profile,
        each.language || language,
      ] as const
      const score = scoreDraft(...question)
      const asked = { ...score, checks: score.checks.filter(({ id }) => id === check) }
      const [fix] = withHelpfulFixes(asked, ...question)
        .checks.flatMap(({ fixes }) => fixes)
        .sort((a, b) => (b.gain ?? 0) - (a.gain ?? 0))
      if (!fix || fix.field === 'fileName') return []
      const before = draft[fix.field] ?? (fix.field === 'tags' ? [] : '')
      return [{ at, field: fix.field, label: fix.label, gain: fix.gain ?? 0, before, after: fixed(draft, fix) }]
    }),
}
export type TextsWorker = typeof worker

Comlink.expose(worker)

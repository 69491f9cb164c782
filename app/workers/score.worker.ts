import * as Comlink from 'comlink'
import { coverEverything, type Cover } from '../../core/draft/cover'
import { NO_CONTEXT, type DraftContext } from '../../core/draft/context'
import { fixed, PLACES, type Draft, type DraftPhrases, type DraftTexts, type Fix } from '../../core/draft/draft'
import { soundFixes, withHelpfulFixes } from '../../core/draft/helpful'
import { insertionFor, insertionKey } from '../../core/draft/insertions'
import { DEFAULT_PROFILE, type LimitProfile } from '../../core/draft/limits'
import { BALANCED, type RuleSet } from '../../core/draft/ruleset'
import { readDraft } from '../../core/draft/read'
import { pointsOf, scoreDraft, type Score } from '../../core/draft/score'
import { underlines, type Underline } from '../../core/draft/underlines'

/** What a draft is scored by: it changes less often than the draft. */
export interface ScoreConfiguration {
  ruleSet: RuleSet
  profile: LimitProfile
  phrases: DraftPhrases
  language: string
  context: DraftContext
}

/** The score of a draft. `rev` is the draft's, as it was asked. */
export interface Scored {
  rev: number
  draft: DraftTexts
  score: Score
  title: Underline[]
  description: Underline[]
  /** What one click would put in an empty cell of the placement grid, by `insertionKey`. */
  insertions: Record<string, Fix>
}

/** Grades that leave a cell of the grid empty. */
const ABSENT = new Set(['none', 'fragment'])

let configuration: ScoreConfiguration = {
  ruleSet: BALANCED,
  profile: DEFAULT_PROFILE,
  phrases: { lead: '', support: [] },
  language: 'en',
  context: NO_CONTEXT,
}

function insertionsOf(draft: Draft, score: Score, list: readonly string[]): Record<string, Fix> {
  const { phrases, profile, language } = configuration
  const isSound = soundFixes(draft, phrases, profile, language)
  const there = new Set(
    score.placements.filter(each => !ABSENT.has(each.grade)).map(each => insertionKey(each.phrase, each.place)),
  )
  const found: Record<string, Fix> = {}
  for (const phrase of list) {
    for (const place of PLACES) {
      const key = insertionKey(phrase, place)
      const fix = there.has(key) ? null : insertionFor(place, phrase, draft, profile, language)
      if (fix && isSound(fix)) found[key] = fix
    }
  }
  return found
}

const worker = {
  configure(next: ScoreConfiguration) {
    configuration = next
  },
  /** The score of a draft with all that the Desk shows of it; typing never waits for it. */
  async score({ rev, draft: texts }: { rev: number; draft: DraftTexts }): Promise<Scored> {
    const draft = await readDraft(texts)
    const { ruleSet, profile, phrases, language, context } = configuration
    const list = [...(phrases.lead ? [phrases.lead] : []), ...phrases.support]
    const score = scoreDraft(draft, phrases, ruleSet, profile, language, context)
    return {
      rev,
      draft: texts,
      score: withHelpfulFixes(score, draft, phrases, ruleSet, profile, language, context),
      title: underlines(draft.title ?? '', list, language),
      description: underlines(draft.description ?? '', list, language),
      insertions: insertionsOf(draft, score, list),
    }
  },
  /** The score of another text by the same rules. */
  async scoreOf(texts: DraftTexts): Promise<Score> {
    const draft = await readDraft(texts)
    const { ruleSet, profile, phrases, language, context } = configuration
    return scoreDraft(draft, phrases, ruleSet, profile, language, context)
  },
  /** The score of a text under another rule set, all else being the same. */
  async scoreUnder(texts: DraftTexts, ruleSet: RuleSet): Promise<Score> {
    const draft = await readDraft(texts)
    const { profile, phrases, language, context } = configuration
    return scoreDraft(draft, phrases, ruleSet, profile, language, context)
  },
  /** What a change of a draft brings under the rule set. */
  async gain(texts: DraftTexts, fix: Fix): Promise<number> {
    const draft = await readDraft(texts)
    const { ruleSet, profile, phrases, language, context } = configuration
    const points = (of: Draft) => pointsOf(of, phrases, ruleSet, profile, language, context).points
    return points({ ...draft, [fix.field]: fixed(draft, fix) }) - points(draft)
  },
  /** The edits that put every phrase where the rule set asks for it. */
  async cover(texts: DraftTexts): Promise<Cover> {
    const draft = await readDraft(texts)
    const { ruleSet, profile, phrases, language, context } = configuration
    return coverEverything(draft, phrases, ruleSet, profile, language, context)
  },
  /**
   * Percent that a rule set gives each of some texts for a phrase alone, such as those of the page it leads to; `null`
   * where none can be told. It does not depend on the brief that is open.
   */
  percents(drafts: Draft[], phrase: string, ruleSet: RuleSet, language: string): (number | null)[] {
    return drafts.map(
      draft => pointsOf(draft, { lead: phrase, support: [] }, ruleSet, DEFAULT_PROFILE, language).percent,
    )
  },
}
export type ScoreWorker = typeof worker

Comlink.expose(worker)

import * as Comlink from 'comlink'
import type { Draft, DraftPhrases } from '../../core/draft/draft'
import { DEFAULT_PROFILE } from '../../core/draft/limits'
import { RULE_SETS } from '../../core/draft/ruleset'
import { scoreDraft, type Score } from '../../core/draft/score'
import { underlines, type Underline } from '../../core/draft/underlines'

export interface Scored { score: Score, title: Underline[], description: Underline[] }

const worker = {
  /** The score of a draft with the underlines of its texts; typing never waits for it. */
  score(draft: Draft, phrases: DraftPhrases, ruleSet: string, language: string): Scored {
    const set = RULE_SETS.find(each => each.id === ruleSet) ?? RULE_SETS[0]!
    const list = [...(phrases.lead ? [phrases.lead] : []), ...phrases.support]
    return {
      score: scoreDraft(draft, phrases, set, DEFAULT_PROFILE, language),
      title: underlines(draft.title ?? '', list, language),
      description: underlines(draft.description ?? '', list, language),
    }
  },
}
export type ScoreWorker = typeof worker

Comlink.expose(worker)

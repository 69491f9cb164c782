/// <reference path="./comlink-node.d.ts" />
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort } from 'node:worker_threads'
import { DEFAULT_PROFILE } from '../../core/draft/limits'
import type { DraftContext } from '../../core/draft/context'
import { ruleSetOf } from '../../core/draft/ruleset'
import { fixed, type Draft, type DraftPhrases } from '../../core/draft/draft'
import { withHelpfulFixes } from '../../core/draft/helpful'
import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import { coverEverything } from '../../core/draft/cover'
import { scoreDraft } from '../../core/draft/score'
import { misspeltPhrases } from '../../core/tags/misspell'
import { suggestTags, type SuggestQuestion } from '../../core/tags/suggest'
import { measureTitles, type MeasureQuestion } from '../../core/titles/measure'
import { titleIdeas, type IdeasQuestion } from '../../core/titles/ideas'
import { draftOf, type BriefFields } from '../../core/brief/brief'
import { dictionaryOf } from './dictionary'

/** The texts of a brief with what is known around them. */
export interface BriefToScore {
  fields: BriefFields
  context: DraftContext
}

// A text may be long and its rules many: scored here, it holds up nobody else.
const thread = {
  /** The score with the fixes that help; each also as the whole new value it makes of its field. */
  score(
    draft: Draft,
    phrases: DraftPhrases,
    ruleSet: RuleSet,
    profile: LimitProfile,
    language: string,
    context?: DraftContext,
  ) {
    const score = withHelpfulFixes(
      scoreDraft(draft, phrases, ruleSet, profile, language, context),
      draft,
      phrases,
      ruleSet,
      profile,
      language,
      context,
    )
    return {
      ...score,
      checks: score.checks.map(check => ({
        ...check,
        fixes: check.fixes.map(fix => ({ ...fix, value: fixed(draft, fix) })),
      })),
    }
  },
  cover: (...question: Parameters<typeof coverEverything>) => coverEverything(...question),
  suggestTags: (question: SuggestQuestion) => suggestTags(question),
  /** Misspellings of phrases; words of the dictionary and those given are never taken for one. */
  async misspelt(phrases: string[], language: string, words: string[]) {
    const isCorrect = await dictionaryOf(language)
    const given = new Set(words)
    return misspeltPhrases(phrases, language, word => given.has(word) || isCorrect(word))
  },
  measure: (question: MeasureQuestion) => measureTitles(question),
  ideas: (question: IdeasQuestion) => titleIdeas(question),
  /** Percent of each brief's own rule set; unknown where nothing is written yet. */
  percents: (list: BriefToScore[]): (number | null)[] =>
    list.map(({ fields, context }) => {
      const { title, description, tags, tray, ruleSet, language } = fields
      if (!title.trim() && !description.trim() && !tags.length) return null
      const set = ruleSetOf(ruleSet)
      return scoreDraft(
        draftOf(fields),
        { lead: tray.lead ?? '', support: tray.support },
        set,
        DEFAULT_PROFILE,
        language,
        context,
      ).percent
    }),
}
export type ScoringThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))

/// <reference path="./comlink-node.d.ts" />
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort } from 'node:worker_threads'
import { cleanText, type CleanQuestion } from '../../core/captions/clean'
import { captionsOf } from '../../core/captions/read'
import { spoken } from '../../core/captions/spoken'
import type { CutQuestion } from '../../core/chapters/cut'
import { namedChapters } from '../../core/chapters/titles'
import { copiedFrom } from '../../core/draft/copied'
import { writePosts, type PostsQuestion } from '../../core/posts/write'
import { truthOf } from '../../core/draft/truth'
import type { DraftContext } from '../../core/draft/context'
import { fixed, type DraftPhrases, type DraftTexts } from '../../core/draft/draft'
import { withHelpfulFixes } from '../../core/draft/helpful'
import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import { coverEverything } from '../../core/draft/cover'
import { mendsOf, type Mends } from '../../core/draft/mends'
import { readDraft } from '../../core/draft/read'
import { pointsFor, pointsOf, scoreDraft, stateOf } from '../../core/draft/score'
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
  /** What its `ruleSet` names. */
  set: RuleSet
  /** What its `profile` names. */
  profile: LimitProfile
}

/** One of many texts. */
export interface TextToScore {
  draft: DraftTexts
  phrases: DraftPhrases
  language: string
}

/** What a function of a draft is asked beside it. */
export type AfterDraft<Asked extends (draft: never, ...rest: never[]) => unknown> =
  Parameters<Asked> extends [unknown, ...infer Rest] ? Rest : never

// A text may be long and its rules many: scored here, it holds up nobody else.
const thread = {
  /** The score with the fixes that help; each also as the whole new value it makes of its field. */
  async score(
    texts: DraftTexts,
    phrases: DraftPhrases,
    ruleSet: RuleSet,
    profile: LimitProfile,
    language: string,
    context?: DraftContext,
  ) {
    const draft = await readDraft(texts)
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
  async cover(texts: DraftTexts, ...question: AfterDraft<typeof coverEverything>) {
    return coverEverything(await readDraft(texts), ...question)
  },
  async suggestTags({ draft, ...question }: Omit<SuggestQuestion, 'draft'> & { draft: DraftTexts }) {
    return suggestTags({ ...question, draft: await readDraft(draft) })
  },
  /** Misspellings of phrases; words of the dictionary and those given are never taken for one. */
  async misspelt(phrases: string[], language: string, words: string[]) {
    const isCorrect = await dictionaryOf(language)
    const given = new Set(words)
    return misspeltPhrases(phrases, language, word => given.has(word) || isCorrect(word))
  },
  async clean(captions: string, question: CleanQuestion) {
    return cleanText(await captionsOf(captions), question)
  },
  async posts({ draft: { outline: _, ...texts }, ...question }: Omit<PostsQuestion, 'draft'> & { draft: DraftTexts }) {
    // An outline is what shall be spoken: it is no text to quote from.
    return writePosts({ ...question, draft: await readDraft(texts) })
  },
  async spoken(captions: string, phrases: string[], language: string) {
    return spoken(await captionsOf(captions), phrases, language)
  },
  cut: async (captions: string, question: CutQuestion & { phrases: string[] }) =>
    namedChapters((await captionsOf(captions)).cues, question),
  async truth(texts: DraftTexts, language: string) {
    return truthOf(await readDraft(texts), language)
  },
  copied: (...question: Parameters<typeof copiedFrom>) => copiedFrom(...question),
  measure: (question: MeasureQuestion) => measureTitles(question),
  ideas: (question: IdeasQuestion) => titleIdeas(question),
  /** The points of many texts, check by check, without fixes. */
  many: (texts: TextToScore[], ruleSet: RuleSet, profile: LimitProfile) =>
    Promise.all(
      texts.map(async ({ draft, phrases, language }) => {
        const { points, outOf, percent, tried } = pointsOf(await readDraft(draft), phrases, ruleSet, profile, language)
        return {
          points,
          outOf,
          percent,
          checks: tried.map(each => ({
            id: each.check.id,
            state: stateOf(each.outcome.fraction),
            points: pointsFor(each),
            outOf: each.outcome.fraction === null ? 0 : each.weight,
          })),
        }
      }),
    ),
  /** Of many texts what each lacks most, and the ready-made changes of title, description and tags that help. */
  mend: (texts: TextToScore[], ruleSet: RuleSet, profile: LimitProfile): Promise<Mends[]> =>
    Promise.all(
      texts.map(async ({ draft, phrases, language }) =>
        mendsOf(await readDraft(draft), phrases, ruleSet, profile, language),
      ),
    ),
  /** Percent of each brief's own rule set; unknown where nothing is written yet. */
  percents: (list: BriefToScore[]): Promise<(number | null)[]> =>
    Promise.all(
      list.map(async ({ fields, context, set, profile }) => {
        const { title, description, tags, tray, language } = fields
        if (!title.trim() && !description.trim() && !tags.length) return null
        return pointsOf(
          // Captions that cannot be read are told on the Desk; the rest of the brief has its points all the same.
          await readDraft(draftOf(fields)).catch(() => readDraft({ ...draftOf(fields), captions: undefined })),
          { lead: tray.lead ?? '', support: tray.support },
          set,
          profile,
          language,
          context,
        ).percent
      }),
    ),
}
export type ScoringThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))

import { availableParallelism } from 'node:os'
import type { CleanQuestion, CleanText } from '../../core/captions/clean'
import type { Spoken } from '../../core/captions/spoken'
import type { CutQuestion } from '../../core/chapters/cut'
import type { NamedChapter } from '../../core/chapters/titles'
import type { CopiedStretch, copiedFrom } from '../../core/draft/copied'
import type { Truth } from '../../core/draft/truth'
import type { Cover, coverEverything } from '../../core/draft/cover'
import type { DraftTexts } from '../../core/draft/draft'
import type { MisspeltPhrase } from '../../core/tags/misspell'
import type { SuggestQuestion, suggestTags } from '../../core/tags/suggest'
import type { Score, scoreDraft } from '../../core/draft/score'
import type { IdeasQuestion, TitleIdea } from '../../core/titles/ideas'
import type { MeasuredTitle, MeasureQuestion } from '../../core/titles/measure'
import type { PostsQuestion, WrittenPost } from '../../core/posts/write'
import { inTime, unknownWhereLate } from './inTime'
import { restartingThread } from './restartingThread'
import type { AfterDraft, BriefToScore, ScoringThread } from './scoringThread'

/** Scores texts in a thread of its own. */
export interface Scoring {
  /** @throws ThreadLate when a text takes longer than a person would wait. */
  score: (texts: DraftTexts, ...question: AfterDraft<typeof scoreDraft>) => Promise<Score>
  cover: (texts: DraftTexts, ...question: AfterDraft<typeof coverEverything>) => Promise<Cover>
  suggestTags: (
    question: Omit<SuggestQuestion, 'draft'> & { draft: DraftTexts },
  ) => Promise<ReturnType<typeof suggestTags>>
  misspelt: (phrases: string[], language: string, words: string[]) => Promise<MisspeltPhrase[]>
  clean: (captions: string, question: CleanQuestion) => Promise<CleanText>
  posts: (question: Omit<PostsQuestion, 'draft'> & { draft: DraftTexts }) => Promise<WrittenPost[]>
  spoken: (captions: string, phrases: string[], language: string) => Promise<Spoken[]>
  cut: (captions: string, question: CutQuestion & { phrases: string[] }) => Promise<NamedChapter[]>
  truth: (texts: DraftTexts, language: string) => Promise<Truth>
  copied: (...question: Parameters<typeof copiedFrom>) => Promise<CopiedStretch[]>
  measure: (question: MeasureQuestion) => Promise<MeasuredTitle[]>
  ideas: (question: IdeasQuestion) => Promise<TitleIdea[]>
  /** Of many texts, in threads of their own, so that a text that is being written does not wait. */
  many: (lane: number, ...question: Parameters<ScoringThread['many']>) => ReturnType<ScoringThread['many']>
  /** What mends each of many texts, in the same threads. */
  mend: (lane: number, ...question: Parameters<ScoringThread['mend']>) => ReturnType<ScoringThread['mend']>
  /** How many questions about many texts are worked on side by side. */
  lanes: number
  /** Of each brief, in order; unknown for one that takes too long, however many are asked for. */
  percents: (list: BriefToScore[]) => Promise<(number | null)[]>
  close: () => Promise<void>
}

/** A full text takes some milliseconds; what takes this long holds up all who ask after it. */
const LONGEST = 5000
/** Threads that score many texts; they start when there are some. */
const MOST_LANES = 2
/** Briefs asked for in one go; they take some milliseconds each. */
const TOGETHER = 20

/**
 * @param entry the built thread.
 * @param longest milliseconds that one question may take.
 */
export function startScoring(entry: string, longest = LONGEST): Scoring {
  const started = (what: string) =>
    restartingThread<ScoringThread>(what, entry, {
      resourceLimits: { maxOldGenerationSizeMb: 256, maxYoungGenerationSizeMb: 16 },
    })
  const thread = started('Scoring')
  const lanes = Array.from({ length: Math.min(MOST_LANES, availableParallelism()) }, () =>
    started('Scoring many texts'),
  )
  return {
    score: (...question) => thread.ask(remote => remote.score(...question), longest),
    cover: (...question) => thread.ask(remote => remote.cover(...question), longest),
    suggestTags: question => thread.ask(remote => remote.suggestTags(question), longest),
    misspelt: (...question) => thread.ask(remote => remote.misspelt(...question), longest),
    clean: (...question) => thread.ask(remote => remote.clean(...question), longest),
    posts: question => thread.ask(remote => remote.posts(question), longest),
    spoken: (...question) => thread.ask(remote => remote.spoken(...question), longest),
    cut: (...question) => thread.ask(remote => remote.cut(...question), longest),
    truth: (...question) => thread.ask(remote => remote.truth(...question), longest),
    copied: (...question) => thread.ask(remote => remote.copied(...question), longest),
    measure: question => thread.ask(remote => remote.measure(question), longest),
    ideas: question => thread.ask(remote => remote.ideas(question), longest),
    many: (lane, ...question) => lanes[lane]!.ask(remote => remote.many(...question), longest),
    mend: (lane, ...question) => lanes[lane]!.ask(remote => remote.mend(...question), longest),
    lanes: lanes.length,
    async percents(list) {
      const found: (number | null)[] = []
      for (let from = 0; from < list.length; from += TOGETHER)
        found.push(
          ...(await inTime(
            list.slice(from, from + TOGETHER),
            some => thread.ask(remote => remote.percents(some), longest),
            unknownWhereLate,
          )),
        )
      return found
    },
    async close() {
      await Promise.all([thread, ...lanes].map(each => each.close()))
    },
  }
}

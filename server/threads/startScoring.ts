import type { Cover, coverEverything } from '../../core/draft/cover'
import type { MisspeltPhrase } from '../../core/tags/misspell'
import type { SuggestQuestion, suggestTags } from '../../core/tags/suggest'
import type { Score, scoreDraft } from '../../core/draft/score'
import type { IdeasQuestion, TitleIdea } from '../../core/titles/ideas'
import type { MeasuredTitle, MeasureQuestion } from '../../core/titles/measure'
import { restartingThread } from './restartingThread'
import type { BriefToScore, ScoringThread } from './scoringThread'

/** Scores texts in a thread of its own. */
export interface Scoring {
  /** @throws ThreadLate when a text takes longer than a person would wait. */
  score: (...question: Parameters<typeof scoreDraft>) => Promise<Score>
  cover: (...question: Parameters<typeof coverEverything>) => Promise<Cover>
  suggestTags: (question: SuggestQuestion) => Promise<ReturnType<typeof suggestTags>>
  misspelt: (phrases: string[], language: string, words: string[]) => Promise<MisspeltPhrase[]>
  measure: (question: MeasureQuestion) => Promise<MeasuredTitle[]>
  ideas: (question: IdeasQuestion) => Promise<TitleIdea[]>
  percents: (list: BriefToScore[]) => Promise<(number | null)[]>
  close: () => Promise<void>
}

/** A full text takes some milliseconds; what takes this long holds up all who ask after it. */
const LONGEST = 5000

/** @param entry the built thread. */
export function startScoring(entry: string): Scoring {
  const thread = restartingThread<ScoringThread>('Scoring', entry, {
    resourceLimits: { maxOldGenerationSizeMb: 256, maxYoungGenerationSizeMb: 16 },
  })
  return {
    score: (...question) => thread.ask(remote => remote.score(...question), LONGEST),
    cover: (...question) => thread.ask(remote => remote.cover(...question), LONGEST),
    suggestTags: question => thread.ask(remote => remote.suggestTags(question), LONGEST),
    misspelt: (...question) => thread.ask(remote => remote.misspelt(...question), LONGEST),
    measure: question => thread.ask(remote => remote.measure(question), LONGEST),
    ideas: question => thread.ask(remote => remote.ideas(question), LONGEST),
    percents: list => (list.length ? thread.ask(remote => remote.percents(list)) : Promise.resolve([])),
    close: thread.close,
  }
}

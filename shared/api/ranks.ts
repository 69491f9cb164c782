import type { LeadingOn } from '../../core/ranks/leadingOn'
import type { Together } from '../../core/ranks/together'
import type { JobState } from '../jobs'
import {
  channelRanksQuery,
  dropWatchesQuery,
  newWatchesSchema,
  rankLookSchema,
  ranksQuery,
  surroundingsQuery,
  watchesQuery,
  type ChannelRanksAnswer,
  type RankLookAnswer,
  type RankRow,
  type RankSurroundings,
  type WatchesAnswer,
} from '../ranks'
import type { ReachAnswer, ReliabilityAnswer } from '../forecasts'
import { editManySchema, type EditManyAnswer, type EditRun } from '../editMany'
import { auditQuery, type AuditLine } from '../audit'
import { filmingPlanQuery, type FilmingPlanAnswer } from '../filmingPlan'
import { openPhrasesQuery, type OpenPhrasesAnswer } from '../openPhrases'
import { pointsQuery, type PointsAnswer } from '../points'
import { newTrialSchema, trialQuestionsQuery, type Trial, type TrialQuestionsAnswer } from '../trials'
import { earnedLineQuery, earnedLineSchema, earnedQuery, type EarnedAnswer, type ToldLine } from '../earned'
import { putOffSchema, takeUpQuery, type NextAnswer } from '../next'
import { call, type } from './call'
import { ofWorkspace } from './inputs'

/** Where videos stand for phrases, day by day. */
export const rankCalls = {
  /** What is kept; nothing is asked. */
  'GET /api/ranks': call({ query: ranksQuery, answer: type<{ rows: RankRow[] }>() }),
  /** Where all videos of the channel stand in a region. */
  'GET /api/ranks/channel': call({ query: channelRanksQuery, answer: type<ChannelRanksAnswer>() }),
  /** Looks now, on pages read today where there are some. */
  'POST /api/ranks/look': call({ body: rankLookSchema, answer: type<RankLookAnswer>() }),
  /** What was done for a video, and who came onto a page above it; nothing is asked. */
  'GET /api/ranks/surroundings': call({ query: surroundingsQuery, answer: type<RankSurroundings>() }),
  /** Phrases of the channel's topics within reach on whose pages none of mine stands; nothing is asked. */
  'GET /api/ranks/open-phrases': call({ query: openPhrasesQuery, answer: type<OpenPhrasesAnswer>() }),
  /** Which videos to make next, in which order, in the time there is; nothing is asked. */
  'GET /api/ranks/filming-plan': call({ query: filmingPlanQuery, answer: type<FilmingPlanAnswer>() }),
  /** Which videos of one's own should lead to which others; nothing is asked. */
  'GET /api/ranks/leading-on': call({
    query: ofWorkspace,
    answer: type<{ rows: (LeadingOn & { brief: string | null })[]; videos: number }>(),
  }),
  /** Phrases for which several of mine stand on page one; nothing is asked. */
  'GET /api/ranks/together': call({ query: openPhrasesQuery, answer: type<{ rows: Together[]; more: number }>() }),
  /** Whether points under each rule set go with what became of one's own videos; nothing is asked. */
  'GET /api/ranks/points': call({ query: pointsQuery, answer: type<PointsAnswer>() }),
  /** What the channel's videos lack, worth most first: NDJSON, a line each; nothing is asked. */
  'GET /api/videos/audit': call({ query: auditQuery, answer: type<AuditLine>() }),
  /** One change in many videos: what it would do, or a job that makes it where the texts are still the same. */
  'POST /api/videos/edit-many': call({ body: editManySchema, answer: type<EditManyAnswer>() }),
  /** Those that were made, newest first; 50 are remembered. */
  'GET /api/videos/edit-many': call({ query: ofWorkspace, answer: type<{ runs: EditRun[] }>() }),
  /** Takes one back in every video where it still stands. */
  'POST /api/videos/edit-many/:run/undo': call({ body: ofWorkspace, answer: type<{ run: EditRun }>() }),
  /** Goes on with one that broke off. */
  'POST /api/videos/edit-many/:run/resume': call({ body: ofWorkspace, answer: type<{ run: EditRun }>() }),
  /** Trials over one's own videos, newest first, each with its answer when its time has come. */
  'GET /api/trials': call({ query: ofWorkspace, answer: type<{ trials: Trial[] }>() }),
  /** What can be tried, and of one question the videos that could take part; nothing is asked. */
  'GET /api/trials/questions': call({ query: trialQuestionsQuery, answer: type<TrialQuestionsAnswer>() }),
  /** Draws which videos are changed, and when; nothing is changed by it. */
  'POST /api/trials': call({ body: newTrialSchema, answer: type<{ trial: Trial }>() }),
  /** Changes the videos of the next wave, in a job. */
  'POST /api/trials/:trial/wave': call({ body: ofWorkspace, answer: type<{ trial: Trial }>() }),
  /** Gives a trial up; what was changed stays until it is taken back. */
  'DELETE /api/trials/:trial': call({ query: ofWorkspace, answer: type<{ trial: Trial }>() }),
  /** What phrases brought beside views; nothing is asked. */
  'GET /api/earned': call({ query: earnedQuery, answer: type<EarnedAnswer>() }),
  /** What a video brought on a day; it replaces what was told of it before. */
  'POST /api/earned': call({ body: earnedLineSchema, answer: type<{ line: ToldLine; before: ToldLine | null }>() }),
  'DELETE /api/earned': call({ query: earnedLineQuery, answer: type<{ removed: boolean }>() }),
  /** What is worth doing today; nothing is asked. */
  'GET /api/next': call({ query: ofWorkspace, answer: type<NextAnswer>() }),
  /** A proposal is not to come for some days, or any more. */
  'POST /api/next/off': call({ body: putOffSchema, answer: type<{ until: number | null }>() }),
  /** It may come again. */
  'DELETE /api/next/off': call({ query: takeUpQuery, answer: type<{ removed: boolean }>() }),
  /** How often what was told came true. */
  'GET /api/forecasts/reliability': call({ query: ofWorkspace, answer: type<ReliabilityAnswer>() }),
  /** The difficulty that the channel wins half the time. */
  'GET /api/reach': call({ query: ofWorkspace, answer: type<ReachAnswer>() }),
  /** What is looked up again and again, and what that costs. */
  'GET /api/watches': call({ query: watchesQuery, answer: type<WatchesAnswer>() }),
  /** Watches from now on, or as often as said now; what is due is looked up at once. */
  'POST /api/watches': call({ body: newWatchesSchema, answer: type<WatchesAnswer & { job: JobState | null }>() }),
  /** Ranks that are known stay. */
  'DELETE /api/watches': call({ query: dropWatchesQuery, answer: type<{ removed: number }>() }),
}

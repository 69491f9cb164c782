import { z } from 'zod'
import { languageInput, regionInput } from '../../core/text/inputs'
import {
  resultsQuerySchema,
  type ChannelAnswer,
  type ChannelStats,
  type OwnTexts,
  type ResultsAnswer,
  type TrendingAnswer,
  type VideoAnswer,
  type WordsAnswer,
} from '../rivals'
import type { JobState } from '../jobs'
import { retentionSchema, type ViewsAnswer } from '../views'
import { newPlannedSchema, plannedQuery } from '../plannedChanges'
import { call, type, type Done } from './call'
import { anew, language, ofWorkspace, phraseQuestion, workspaceInput } from './inputs'

const results = call({ query: resultsQuerySchema, answer: type<ResultsAnswer>() })
const words = call({ query: resultsQuerySchema, answer: type<WordsAnswer>() })
const pageChannels = call({
  query: resultsQuerySchema,
  answer: type<{ channels: ChannelStats[]; missing: number }>(),
})
const channel = call({ query: z.object({ language, workspace: workspaceInput, anew }), answer: type<ChannelAnswer>() })
const views = call({ query: ofWorkspace.extend({ anew }), answer: type<ViewsAnswer>() })
const trending = call({
  query: z.object({ region: regionInput, language, contains: z.string().max(200).optional(), anew }),
  answer: type<TrendingAnswer>(),
})

export const rivalCalls = {
  'GET /api/results': results,
  'POST /api/results': results,
  'GET /api/results/words': words,
  'POST /api/results/words': words,
  'GET /api/results/channels': pageChannels,
  'POST /api/results/channels': pageChannels,
  'PUT /api/results/off-topic': call({
    body: phraseQuestion
      .pick({ phrase: true, language: true })
      .extend({
        videoId: z.string().min(1).max(200).optional(),
        videoIds: z.array(z.string().min(1).max(200)).min(1).max(200).optional(),
        off: z.boolean(),
      })
      .refine(
        ({ videoId, videoIds }) => videoId !== undefined || videoIds !== undefined,
        'Name the videos as videoIds.',
      ),
    answer: type<Done>(),
  }),
  'GET /api/channels': call({
    query: z.object({ find: z.string().max(100).optional(), workspace: workspaceInput }),
    answer: type<{ channels: ChannelStats[] }>(),
  }),
  'GET /api/channels/:id': channel,
  'POST /api/channels/:id': channel,
  'PUT /api/channels/:id/watch': call({
    body: z.object({ workspace: workspaceInput, on: z.boolean() }),
    answer: type<Done>(),
  }),
  'GET /api/videos/texts': call({
    query: ofWorkspace.extend({ video: z.string().max(200).optional() }),
    answer: type<{ videos: OwnTexts[] }>(),
  }),
  /** How a video of one’s own was watched; by POST a live service is asked, too. */
  'GET /api/videos/:id/views': views,
  'POST /api/videos/:id/views': views,
  /** Keeps how far the video is watched. */
  'PUT /api/videos/:id/retention': call({ body: retentionSchema, answer: type<{ before: number[] | null }>() }),
  /** Plans a change of the video for a day, and how it is to be judged. */
  'POST /api/videos/:id/planned': call({ body: newPlannedSchema, answer: type<{ id: string }>() }),
  'DELETE /api/videos/:id/planned': call({ query: plannedQuery, answer: type<{ removed: boolean }>() }),
  /** Asks for the figures of all videos of the channel, where that is due. */
  'POST /api/videos/views': call({ query: ofWorkspace, answer: type<{ job: JobState | null }>() }),
  'GET /api/videos/:id': call({ answer: type<VideoAnswer>() }),
  'POST /api/videos/:id/captions': call({
    body: z.object({ language: languageInput }),
    answer: type<{ language: string; text: string }>(),
  }),
  'GET /api/trending': trending,
  'POST /api/trending': trending,
}

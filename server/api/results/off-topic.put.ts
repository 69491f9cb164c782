import { z } from 'zod'
import { phraseQuestion } from '../../http/phraseQuestion'
import { Problem } from '../../http/problem'
import { bodyOf, route } from '../../http/route'

const body = phraseQuestion
  .pick({ phrase: true, language: true })
  .extend({
    videoId: z.string().min(1).max(200).optional(),
    videoIds: z.array(z.string().min(1).max(200)).min(1).max(200).optional(),
    off: z.boolean(),
  })
  .refine(({ videoId, videoIds }) => videoId !== undefined || videoIds !== undefined, 'Name the videos as videoIds.')

/** Takes results out of a phrase's pages, or back in, all or none; difficulty, chance and worth follow. */
export default route(async (event, { phrases, results, videos }) => {
  const { phrase, language, videoId, videoIds = [videoId!], off } = await bodyOf(event, body)
  const known = phrases.known(phrase, '', language)
  if (!known || videoIds.some(id => !videos.video(id)))
    throw new Problem(404, 'unknown-result', 'This result is unknown. Load the result page first.')
  results.setOffTopic(known.id, videoIds, off, Date.now())
  return { ok: true }
})

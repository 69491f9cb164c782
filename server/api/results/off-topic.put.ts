import { Problem } from '../../http/problem'
import { route } from '../../http/route'

/** Takes results out of a phrase's pages, or back in, all or none; difficulty, chance and worth follow. */
export default route('PUT /api/results/off-topic', async (event, runtime, { body }) => {
  const { now, phrases, results, videos, chances } = runtime
  const { phrase, language, videoId, videoIds = [videoId!], off } = body
  const known = phrases.known(phrase, '', language)
  if (!known || videoIds.some(id => !videos.video(id)))
    throw new Problem(404, 'unknown-result', 'This result is unknown. Load the result page first.')
  results.setOffTopic(known.id, videoIds, off, now())
  chances.judgeAnew(results, known, language)
  return { ok: true }
})

import { z } from 'zod'
import { phraseQuestion } from '../../http/phraseQuestion'
import { Problem } from '../../http/problem'
import { bodyOf, route } from '../../http/route'

const body = phraseQuestion.pick({ phrase: true, language: true }).extend({ videoId: z.string().min(1).max(100), off: z.boolean() })

/** Takes a result out of a phrase's pages, or back in; difficulty, chance and worth follow. */
export default route(async (event, { phrases, results, videos }) => {
  const { phrase, language, videoId, off } = await bodyOf(event, body)
  const known = phrases.known(phrase, '', language)
  if (!known || !videos.video(videoId)) throw new Problem(404, 'unknown-result', 'Nothing is known of this result. Look the page up first.')
  results.setOffTopic(known.id, videoId, off, Date.now())
  return { ok: true }
})

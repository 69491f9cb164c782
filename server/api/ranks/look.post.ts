import { dayName } from '../../../core/ranks/standing'
import { phraseKey } from '../../../core/text/words'
import type { RankLookAnswer } from '../../../shared/ranks'
import { askable } from '../../http/askable'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { lookAtRank } from '../../ranks/look'

/** Where a video stands for some phrases now. */
export default route('POST /api/ranks/look', async (event, open, { body }) => {
  const runtime = askable(event, open)
  const { videoId, phrases, language, kind } = body
  const region = body.region ?? ''
  const { channelId: channel } = workspaceOf(runtime, body.workspace)
  const answer: RankLookAnswer = { rows: [], problems: [] }
  for (const phrase of new Set(phrases.map(phraseKey))) {
    const { found, problem } = await lookAtRank(runtime, { video: videoId, phrase, region, language, kind, channel })
    if (problem) answer.problems.push({ phrase, message: problem })
    if (found)
      answer.rows.push({
        videoId,
        phrase,
        region: region || null,
        kind,
        day: dayName(found.day),
        rank: found.rank,
        depth: found.depth,
      })
  }
  return answer
})

import { setResponseStatus } from 'h3'
import { phraseKey } from '../../../core/text/words'
import { inDigits } from '../../../core/text/inWords'
import { MOST_WATCHES } from '../../data/watches'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { watchesAnswer } from '../../ranks/watchesAnswer'

/** Looks a video up again and again from now on: each phrase in each region. */
export default route('POST /api/watches', (event, runtime, { body }) => {
  const { videoId, phrases, regions, language, kind, every } = body
  const { id: workspace } = workspaceOf(runtime, body.workspace)
  const ids = runtime.phrases.phraseIds([...new Set(phrases.map(phraseKey))], language)
  const wanted = [...new Set(regions.map(region => region ?? ''))].flatMap(region =>
    ids.map(phraseId => ({ video: videoId, page: { phraseId, region, kind } })),
  )
  if (!runtime.watches.add(workspace, wanted, every))
    throw new Problem(
      409,
      'too-many',
      `A workspace watches ${inDigits(MOST_WATCHES)} ranks at most. Stop watching some first.`,
    )
  setResponseStatus(event, 201)
  return { ...watchesAnswer(runtime, workspace, { videoId }), job: runtime.rankWatch.check(true) }
})

import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { surroundingsOf } from '../../ranks/surroundings'

/** What may lie behind a video's curve. */
export default route('GET /api/ranks/surroundings', (event, runtime, { query }) => {
  const { channelId: channel } = workspaceOf(runtime, query.workspace)
  return surroundingsOf(runtime, {
    ...query,
    phrase: query.phrase ?? '',
    video: query.videoId,
    rival: query.rival ?? null,
    region: query.region ?? '',
    channel,
  })
})

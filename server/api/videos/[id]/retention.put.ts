import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'
import { workspaceOf } from '../../../http/workspaceOf'
import { ownVideoNamed } from '../../../ranks/ownVideoNamed'

/** Keeps how far a video of one's own is watched, as a person told it. */
export default route('PUT /api/videos/:id/retention', (event, runtime, { body: { workspace, retention, source } }) => {
  const { videoDays, now } = runtime
  const { channelId } = workspaceOf(runtime, workspace)
  const video = ownVideoNamed(runtime, channelId, null)(paramOf(event, 'id'))
  if ('reason' in video) throw new Problem(404, 'no-video', video.reason)
  return { before: videoDays.saveRetention(video.id, retention, { source, at: now() }) }
})

import { Problem } from '../../../http/problem'
import { workspaceOf } from '../../../http/workspaceOf'
import { paramOf, route } from '../../../http/route'

/** Takes a channel into the workspace's rival set, or out of it. */
export default route('PUT /api/channels/:id/watch', async (event, runtime, { body }) => {
  const { workspace, on } = body
  const id = paramOf(event, 'id')
  if (!runtime.videos.channel(id))
    throw new Problem(
      404,
      'unknown-channel',
      'This channel is unknown. Open it from a result page, or import its feed.',
    )
  runtime.rivalSets.watch(workspaceOf(runtime, workspace).id, id, on)
  return { ok: true }
})

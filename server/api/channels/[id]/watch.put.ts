import { z } from 'zod'
import { Problem } from '../../../http/problem'
import { workspaceOf } from '../../../http/workspaceOf'
import { bodyOf, paramOf, route } from '../../../http/route'

const body = z.object({ workspace: z.string().max(60).optional(), on: z.boolean() })

/** Takes a channel into the workspace's rival set, or out of it. */
export default route(async (event, runtime) => {
  const { workspace, on } = await bodyOf(event, body)
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

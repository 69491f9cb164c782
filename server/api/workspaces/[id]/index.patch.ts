import { workspaceOf } from '../../../http/workspaceOf'
import { paramOf, route } from '../../../http/route'
import { lookAtChannel } from '../../../rivals/channelLook'

export default route('PATCH /api/workspaces/:id', async (event, runtime, { body }) => {
  const { id, language } = workspaceOf(runtime, paramOf(event, 'id'))
  const patch = body
  const problem = patch.channelId ? await lookAtChannel(runtime, patch.channelId, language, true) : null
  return { ...runtime.workspaces.update(id, patch)!, problem }
})

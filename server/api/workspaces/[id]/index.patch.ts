import { workspacePatchSchema } from '../../../../shared/workspace'
import { workspaceOf } from '../../../http/workspaceOf'
import { bodyOf, paramOf, route } from '../../../http/route'
import { lookAtChannel } from '../../../rivals/channelLook'

export default route(async (event, runtime) => {
  const { id, language } = workspaceOf(runtime, paramOf(event, 'id'))
  const patch = await bodyOf(event, workspacePatchSchema)
  const problem = patch.channelId ? await lookAtChannel(runtime, patch.channelId, language, true) : null
  return { ...runtime.workspaces.update(id, patch)!, problem }
})

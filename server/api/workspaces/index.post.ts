import { setResponseStatus } from 'h3'
import { newWorkspaceSchema } from '../../../shared/workspace'
import { bodyOf, route } from '../../http/route'
import { lookAtChannel } from '../../rivals/channelLook'

export default route(async (event, runtime) => {
  const given = await bodyOf(event, newWorkspaceSchema)
  const problem = given.channelId ? await lookAtChannel(runtime, given.channelId, given.language ?? 'en') : null
  setResponseStatus(event, 201)
  return { ...runtime.workspaces.create(given), problem }
})

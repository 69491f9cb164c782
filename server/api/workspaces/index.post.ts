import { setResponseStatus } from 'h3'
import { route } from '../../http/route'
import { lookAtChannel } from '../../rivals/channelLook'

export default route('POST /api/workspaces', async (event, runtime, { body }) => {
  const given = body
  const problem = given.channelId ? await lookAtChannel(runtime, given.channelId, given.language ?? 'en') : null
  setResponseStatus(event, 201)
  return { ...runtime.workspaces.create(given), problem }
})

import { setResponseStatus } from 'h3'
import { route } from '../../http/route'
import { makeItem } from '../../http/workspaceItem'

export default route('POST /api/outlets', (event, runtime, { body }) => {
  const { id, workspace, ...value } = body
  setResponseStatus(event, 201)
  return makeItem(runtime, 'outlet', value, { id, workspace })
})

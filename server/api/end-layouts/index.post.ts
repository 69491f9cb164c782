import { setResponseStatus } from 'h3'
import { route } from '../../http/route'
import { makeItem } from '../../http/workspaceItem'

export default route('POST /api/end-layouts', (event, runtime, { body }) => {
  const { id, workspace, ...value } = body
  setResponseStatus(event, 201)
  return makeItem(runtime, 'endLayout', value, { id, workspace })
})

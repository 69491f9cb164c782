import { setResponseStatus } from 'h3'
import { workspaceOf } from '../../http/workspaceOf'
import { route } from '../../http/route'

export default route('POST /api/filter-sets', async (event, runtime, { body }) => {
  const { workspace, name, query } = body
  setResponseStatus(event, 201)
  return runtime.lists.addFilterSet(workspaceOf(runtime, workspace).id, name, query)
})

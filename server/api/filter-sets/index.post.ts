import { setResponseStatus } from 'h3'
import { filterSetSchema } from '../../../shared/lists'
import { workspaceOf } from '../../http/workspaceOf'
import { bodyOf, route } from '../../http/route'

export default route(async (event, runtime) => {
  const { workspace, name, query } = await bodyOf(event, filterSetSchema)
  setResponseStatus(event, 201)
  return runtime.lists.addFilterSet(workspaceOf(runtime, workspace).id, name, query)
})

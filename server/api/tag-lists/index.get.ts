import { route } from '../../http/route'
import { told } from '../../http/workspaceItem'
import { workspaceOf } from '../../http/workspaceOf'

export default route('GET /api/tag-lists', (event, runtime, { query }) => ({
  tagLists: runtime.workspaceItems.list(workspaceOf(runtime, query.workspace).id, 'tagList').map(told),
}))

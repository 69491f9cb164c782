import { workspaceOf } from '../../http/workspaceOf'
import { route } from '../../http/route'

export default route('GET /api/lists', (event, runtime, { query }) => ({
  lists: runtime.lists.lists(workspaceOf(runtime, query.workspace).id),
}))

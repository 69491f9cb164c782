import { workspaceOf } from '../../http/workspaceOf'
import { route } from '../../http/route'

export default route('GET /api/filter-sets', (event, runtime, { query }) => ({
  sets: runtime.lists.filterSets(workspaceOf(runtime, query.workspace).id),
}))

import { route } from '../../http/route'
import { told } from '../../http/workspaceItem'
import { workspaceOf } from '../../http/workspaceOf'

export default route('GET /api/end-layouts', (event, runtime, { query }) => ({
  layouts: runtime.workspaceItems.list(workspaceOf(runtime, query.workspace).id, 'endLayout').map(told),
}))

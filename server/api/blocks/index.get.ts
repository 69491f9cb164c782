import { route } from '../../http/route'
import { told } from '../../http/workspaceItem'
import { workspaceOf } from '../../http/workspaceOf'

export default route('GET /api/blocks', (event, runtime, { query }) => ({
  blocks: runtime.workspaceItems.list(workspaceOf(runtime, query.workspace).id, 'block').map(told),
}))

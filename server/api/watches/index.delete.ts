import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** Looks no more; what is known stays. */
export default route('DELETE /api/watches', (event, runtime, { query }) => ({
  removed: runtime.watches.remove(workspaceOf(runtime, query.workspace).id, query.ids),
}))

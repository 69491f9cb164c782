import { route } from '../../http/route'
import { told } from '../../http/workspaceItem'
import { workspaceOf } from '../../http/workspaceOf'

/** The outlets of a workspace, with what came of each. */
export default route('GET /api/outlets', (event, runtime, { query }) => {
  const { id } = workspaceOf(runtime, query.workspace)
  const brought = runtime.outletVisits(id)
  return {
    outlets: runtime.workspaceItems.list(id, 'outlet').map(item => ({
      ...told(item),
      told: brought.get(item.id)?.told ?? 0,
      visits: brought.get(item.id)?.visits ?? null,
    })),
  }
})

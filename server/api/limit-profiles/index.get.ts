import { PROFILES } from '../../../core/draft/limits'
import { route } from '../../http/route'
import { told } from '../../http/workspaceItem'
import { workspaceOf } from '../../http/workspaceOf'

/** The limit profiles that ship, and those of the workspace. */
export default route('GET /api/limit-profiles', (event, runtime, { query }) => ({
  shipped: [...PROFILES],
  profiles: runtime.workspaceItems.list(workspaceOf(runtime, query.workspace).id, 'limitProfile').map(told),
}))

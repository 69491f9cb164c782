import { find } from '../../find/find'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** Looks for anything in a workspace by its words. */
export default route('GET /api/find', (_, runtime, { query }) =>
  find(runtime, workspaceOf(runtime, query.workspace).id, query.q),
)

import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { watchesAnswer } from '../../ranks/watchesAnswer'

/** What a workspace looks up again and again. */
export default route('GET /api/watches', (event, runtime, { query }) =>
  watchesAnswer(runtime, workspaceOf(runtime, query.workspace).id, query),
)

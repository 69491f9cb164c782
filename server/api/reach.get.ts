import { route } from '../http/route'
import { workspaceOf } from '../http/workspaceOf'
import { reachAnswer } from '../ranks/reach'

/** The difficulty that the workspace’s channel wins half the time. */
export default route('GET /api/reach', (_, runtime, { query }) =>
  reachAnswer(runtime, workspaceOf(runtime, query.workspace).id),
)

import { askable } from '../../http/askable'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { lookAtAudience } from '../../release/audience'

/** When a workspace's viewers are there. */
export default route('GET /api/audience', (event, open, { query }) => {
  const runtime = askable(event, open)
  return lookAtAudience(runtime, workspaceOf(runtime, query.workspace), query.anew === '1')
})

import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { leadingOnOf } from '../../ranks/leadingOn'

/** Which videos of one’s own should lead to which others. */
export default route('GET /api/ranks/leading-on', (_, runtime, { query }) =>
  leadingOnOf(runtime, workspaceOf(runtime, query.workspace).id),
)

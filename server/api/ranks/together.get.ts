import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { togetherOf } from '../../ranks/together'

/** Phrases for which several of mine stand on page one. */
export default route('GET /api/ranks/together', (_, runtime, { query }) =>
  togetherOf(runtime, workspaceOf(runtime, query.workspace).id, query.region ?? ''),
)

import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { gapsOf } from '../../ranks/gaps'

/** Phrases within reach on whose pages none of mine stands. */
export default route('GET /api/ranks/gaps', (_, runtime, { query }) =>
  gapsOf(runtime, workspaceOf(runtime, query.workspace).id, query.region ?? ''),
)

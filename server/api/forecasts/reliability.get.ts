import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { reliabilityAnswer } from '../../ranks/reliability'

/** How often forecasts came true. */
export default route('GET /api/forecasts/reliability', (_, runtime, { query }) =>
  reliabilityAnswer(runtime, workspaceOf(runtime, query.workspace).id),
)

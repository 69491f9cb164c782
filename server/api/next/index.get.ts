import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { nextAnswer } from '../../next/next'

/** What is worth doing today. */
export default route('GET /api/next', (_, runtime, { query }) =>
  nextAnswer(runtime, workspaceOf(runtime, query.workspace).id),
)

import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { pointsAnswer } from '../../ranks/pointsAnswer'

/** Whether points go with what became of one’s own videos. */
export default route('GET /api/ranks/points', (_, runtime, { query }) =>
  pointsAnswer(runtime, workspaceOf(runtime, query.workspace).id, query.region ?? ''),
)

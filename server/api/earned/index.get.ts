import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { earnedAnswer } from '../../ranks/earned'

/** What phrases brought beside views. */
export default route('GET /api/earned', (_, runtime, { query: { workspace, ...asked } }) =>
  earnedAnswer(runtime, workspaceOf(runtime, workspace).id, asked),
)

import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { audienceAnswer } from '../../release/audience'

/** Forgets the table that was read in. */
export default route('DELETE /api/audience', (_, runtime, { query }) => {
  const workspace = workspaceOf(runtime, query.workspace)
  runtime.audiences.forgetReadIn(workspace.id)
  return audienceAnswer(runtime, workspace)
})

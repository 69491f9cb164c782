import { route } from '../../../http/route'
import { workspaceOf } from '../../../http/workspaceOf'
import { runAnswer } from '../../../release/editMany'

/** Changes that were made in many videos, newest first. */
export default route('GET /api/videos/edit-many', (_, runtime, { query }) => ({
  runs: runtime.editRuns.of(workspaceOf(runtime, query.workspace).id).map(run => runAnswer(runtime, run)),
}))

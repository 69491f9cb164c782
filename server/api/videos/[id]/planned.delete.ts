import { paramOf, route } from '../../../http/route'
import { workspaceOf } from '../../../http/workspaceOf'

/** Removes a planned change; what was changed of the video stays. */
export default route('DELETE /api/videos/:id/planned', (event, runtime, { query: { workspace, plan } }) => ({
  removed: runtime.plannedChanges.remove(workspaceOf(runtime, workspace).id, paramOf(event, 'id'), plan),
}))

import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** It may come again. */
export default route('DELETE /api/next/off', (_, runtime, { query: { workspace, key } }) => ({
  removed: runtime.putOff.take(workspaceOf(runtime, workspace).id, key),
}))

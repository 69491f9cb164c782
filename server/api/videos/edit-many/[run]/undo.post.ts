import { paramOf, route } from '../../../../http/route'
import { workspaceOf } from '../../../../http/workspaceOf'
import { undoEdit } from '../../../../release/editMany'

/** Takes a change of many videos back. */
export default route('POST /api/videos/edit-many/:run/undo', async (event, runtime, { body }) => ({
  run: await undoEdit(runtime, workspaceOf(runtime, body.workspace).id, paramOf(event, 'run')),
}))

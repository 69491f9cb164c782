import { paramOf, route } from '../../../../http/route'
import { workspaceOf } from '../../../../http/workspaceOf'
import { resumeEdit } from '../../../../release/editMany'

/** Goes on with a change of many videos that broke off. */
export default route('POST /api/videos/edit-many/:run/resume', (event, runtime, { body }) => ({
  run: resumeEdit(runtime, workspaceOf(runtime, body.workspace).id, paramOf(event, 'run')),
}))

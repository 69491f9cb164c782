import { workspaceOf } from '../../../http/workspaceOf'
import { paramOf, route } from '../../../http/route'

export default route('GET /api/workspaces/:id/settings', (event, runtime) => {
  const { id } = workspaceOf(runtime, paramOf(event, 'id'))
  return { settings: runtime.workspaces.settings(id), videos: runtime.workspaces.statedVideos(id) }
})

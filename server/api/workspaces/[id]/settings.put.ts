import { workspaceOf } from '../../../http/workspaceOf'
import { paramOf, route } from '../../../http/route'

/** Sets what is given; what is left out stays. */
export default route('PUT /api/workspaces/:id/settings', async (event, runtime, { body }) => {
  const { id } = workspaceOf(runtime, paramOf(event, 'id'))
  return { settings: runtime.workspaces.putSettings(id, body) }
})

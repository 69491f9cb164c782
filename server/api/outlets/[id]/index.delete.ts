import { route } from '../../../http/route'
import { itemOf } from '../../../http/workspaceItem'

/** Deletes an outlet. Making it again under its id brings it back. */
export default route('DELETE /api/outlets/:id', (event, runtime) => {
  const { workspace, item } = itemOf(event, runtime, 'outlet')
  runtime.workspaceItems.remove(workspace, item.id)
  return { ok: true }
})

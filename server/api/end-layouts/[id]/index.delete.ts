import { route } from '../../../http/route'
import { itemOf } from '../../../http/workspaceItem'

/** Deletes a layout. Making it again under its id brings it back. */
export default route('DELETE /api/end-layouts/:id', (event, runtime) => {
  const { workspace, item } = itemOf(event, runtime, 'endLayout')
  runtime.workspaceItems.remove(workspace, item.id)
  return { ok: true }
})

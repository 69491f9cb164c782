import { route } from '../../../http/route'
import { itemOf } from '../../../http/workspaceItem'

/** Deletes a block; its text stays where it stands. Making it again under its id brings it back. */
export default route('DELETE /api/blocks/:id', (event, runtime) => {
  const { workspace, item } = itemOf(event, runtime, 'block')
  runtime.workspaceItems.remove(workspace, item.id)
  return { ok: true }
})

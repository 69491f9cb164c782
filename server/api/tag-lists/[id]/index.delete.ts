import { route } from '../../../http/route'
import { itemOf } from '../../../http/workspaceItem'

/** Deletes a list of tags. Making it again under its id brings it back. */
export default route('DELETE /api/tag-lists/:id', (event, runtime) => {
  const { workspace, item } = itemOf(event, runtime, 'tagList')
  runtime.workspaceItems.remove(workspace, item.id)
  return { ok: true }
})

import { route } from '../../../http/route'
import { itemOf } from '../../../http/workspaceItem'

/** Deletes a limit profile. Making it again under its id brings it back; its briefs use those of the video site. */
export default route('DELETE /api/limit-profiles/:id', (event, runtime) => {
  const { workspace, item } = itemOf(event, runtime, 'limitProfile')
  runtime.workspaceItems.remove(workspace, item.id)
  runtime.briefs.rescore(workspace, item.id)
  return { ok: true }
})

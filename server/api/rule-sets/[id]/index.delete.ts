import { route } from '../../../http/route'
import { itemOf } from '../../../http/workspaceItem'

/** Deletes a rule set. Making it again under its id brings it back; briefs that name it are scored as balanced. */
export default route('DELETE /api/rule-sets/:id', (event, runtime) => {
  const { workspace, item } = itemOf(event, runtime, 'ruleSet')
  runtime.workspaceItems.remove(workspace, item.id)
  runtime.briefs.rescore(workspace, item.id)
  return { ok: true }
})

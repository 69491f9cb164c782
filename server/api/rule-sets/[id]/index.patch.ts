import { ownRuleSetSchema } from '../../../../core/draft/ruleSetSchema'
import { route } from '../../../http/route'
import { itemOf, savedItem } from '../../../http/workspaceItem'

/** Changes a rule set; briefs that are scored under it are scored anew. */
export default route('PATCH /api/rule-sets/:id', (event, runtime, { body }) => {
  const { workspace, item } = itemOf(event, runtime, 'ruleSet')
  const { revision, ...changed } = body
  const value = ownRuleSetSchema.parse({ ...item.value, ...changed })
  const saved = savedItem(
    'ruleSet',
    runtime.workspaceItems.save(workspace, { id: item.id, kind: 'ruleSet', revision, value }),
  )
  runtime.briefs.rescore(workspace, item.id)
  return saved
})

import { RULE_SETS } from '../../../core/draft/ruleset'
import { route } from '../../http/route'
import { told } from '../../http/workspaceItem'
import { workspaceOf } from '../../http/workspaceOf'

/** The rule sets that ship, and those of the workspace. */
export default route('GET /api/rule-sets', (event, runtime, { query }) => ({
  shipped: [...RULE_SETS],
  ruleSets: runtime.workspaceItems.list(workspaceOf(runtime, query.workspace).id, 'ruleSet').map(told),
}))

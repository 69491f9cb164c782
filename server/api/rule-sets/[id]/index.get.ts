import { route } from '../../../http/route'
import { itemOf, told } from '../../../http/workspaceItem'

export default route('GET /api/rule-sets/:id', (event, runtime) => told(itemOf(event, runtime, 'ruleSet').item))

import { route } from '../../../http/route'
import { itemOf, told } from '../../../http/workspaceItem'

export default route('GET /api/limit-profiles/:id', (event, runtime) =>
  told(itemOf(event, runtime, 'limitProfile').item),
)

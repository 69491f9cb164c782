import { route } from '../../../http/route'
import { itemOf, told } from '../../../http/workspaceItem'

export default route('GET /api/tag-lists/:id', (event, runtime) => told(itemOf(event, runtime, 'tagList').item))

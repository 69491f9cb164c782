import { usesOf } from '../../../desk/blocks'
import { route } from '../../../http/route'
import { itemOf, told } from '../../../http/workspaceItem'

/** A block, and the briefs that hold it. */
export default route('GET /api/blocks/:id', (event, runtime) => {
  const { workspace, item } = itemOf(event, runtime, 'block')
  return { ...told(item), uses: usesOf(runtime, workspace, item.id, item.value) }
})

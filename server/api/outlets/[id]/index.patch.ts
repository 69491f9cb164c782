import { route } from '../../../http/route'
import { itemOf, savedItem } from '../../../http/workspaceItem'

export default route('PATCH /api/outlets/:id', (event, runtime, { body }) => {
  const { workspace, item } = itemOf(event, runtime, 'outlet')
  const { revision, ...changed } = body
  const value = { ...item.value, ...changed }
  return savedItem('outlet', runtime.workspaceItems.save(workspace, { id: item.id, kind: 'outlet', revision, value }))
})

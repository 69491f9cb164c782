import { route } from '../../../http/route'
import { itemOf, savedItem } from '../../../http/workspaceItem'

export default route('PATCH /api/tag-lists/:id', (event, runtime, { body }) => {
  const { workspace, item } = itemOf(event, runtime, 'tagList')
  const { revision, ...changed } = body
  const value = { ...item.value, ...changed }
  return savedItem('tagList', runtime.workspaceItems.save(workspace, { id: item.id, kind: 'tagList', revision, value }))
})

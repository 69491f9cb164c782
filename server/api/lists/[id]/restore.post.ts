import { noSuchList } from '../../../http/listOf'
import { paramOf, route } from '../../../http/route'

export default route('POST /api/lists/:id/restore', (event, { lists }) => {
  const id = paramOf(event, 'id')
  if (!lists.restore(id)) throw noSuchList()
  return lists.list(id)!
})

import { Problem } from '../../http/problem'
import { paramOf, route } from '../../http/route'

export default route('DELETE /api/filter-sets/:id', (event, { lists }) => {
  if (!lists.removeFilterSet(paramOf(event, 'id')))
    throw new Problem(404, 'no-such-set', 'These filters no longer exist.')
  return { ok: true }
})

import { noSuchBrief } from '../../../http/briefOf'
import { paramOf, route } from '../../../http/route'

export default route('POST /api/briefs/:id/restore', (event, { briefs }) => {
  const id = paramOf(event, 'id')
  if (!briefs.restore(id)) throw noSuchBrief()
  return briefs.get(id)!
})

import { briefOf } from '../../../../http/briefOf'
import { Problem } from '../../../../http/problem'
import { paramOf, route } from '../../../../http/route'

/** Takes an item out of a brief. Saving it again brings it back. */
export default route('DELETE /api/briefs/:id/items/:item', (event, runtime) => {
  if (!runtime.briefItems.remove(briefOf(event, runtime).id, paramOf(event, 'item')))
    throw new Problem(404, 'no-such-item', 'This is no longer there.')
  return { ok: true }
})

import { briefOf } from '../../../../http/briefOf'
import { route } from '../../../../http/route'

/** What a brief has many of, one kind of it, in order. */
export default route('GET /api/briefs/:id/items', (event, runtime, { query }) => ({
  items: runtime.briefItems.list(briefOf(event, runtime).id, query.kind),
}))

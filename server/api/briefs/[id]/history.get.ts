import { briefOf } from '../../../http/briefOf'
import { route } from '../../../http/route'

export default route('GET /api/briefs/:id/history', (event, runtime, { query }) => ({
  entries: runtime.briefs.history(briefOf(event, runtime).id, query.field),
}))

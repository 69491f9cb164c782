import { briefOf } from '../../../http/briefOf'
import { route } from '../../../http/route'
import { publishAnswer } from '../../../release/publish'

/** How a brief stands on its way out, and what keeps it from being sent. */
export default route('GET /api/briefs/:id/publish', (event, runtime) => publishAnswer(runtime, briefOf(event, runtime)))

import { overview } from '../../http/overview'
import { route } from '../../http/route'

/** Which videos of one’s own should lead to which others. */
export default route('GET /api/ranks/leading-on', (event, runtime, { query }) =>
  overview(event, runtime, 'leadingOn', query.workspace),
)

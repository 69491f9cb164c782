import { overview } from '../../http/overview'
import { route } from '../../http/route'

/** What is worth doing today. */
export default route('GET /api/next', (event, runtime, { query }) => overview(event, runtime, 'next', query.workspace))

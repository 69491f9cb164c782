import { overview } from '../../http/overview'
import { route } from '../../http/route'

/** What phrases brought beside views. */
export default route('GET /api/earned', (event, runtime, { query: { workspace, ...asked } }) =>
  overview(event, runtime, 'earned', workspace, asked),
)

import { overview } from '../../http/overview'
import { route } from '../../http/route'

/** Phrases within reach on whose pages none of mine stands. */
export default route('GET /api/ranks/open-phrases', (event, runtime, { query }) =>
  overview(event, runtime, 'openPhrases', query.workspace, query.region ?? ''),
)

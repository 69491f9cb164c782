import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { openPhrasesOf } from '../../ranks/openPhrases'

/** Phrases within reach on whose pages none of mine stands. */
export default route('GET /api/ranks/open-phrases', (_, runtime, { query }) =>
  openPhrasesOf(runtime, workspaceOf(runtime, query.workspace).id, query.region ?? ''),
)

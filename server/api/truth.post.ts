import { route } from '../http/route'

/** What the texts promise and nothing spoken bears out. */
export default route('POST /api/truth', (event, { scoring }, { body: { draft, language } }) =>
  scoring.truth(draft, language),
)

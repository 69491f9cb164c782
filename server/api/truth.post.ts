import { route } from '../http/route'

/** What the texts promise that is never spoken. */
export default route('POST /api/truth', (event, { scoring }, { body: { draft, language } }) =>
  scoring.truth(draft, language),
)

import { route } from '../../http/route'

/** Captions as a text to read, with what was taken out of it. */
export default route('POST /api/captions/clean', (event, { scoring }, { body: { captions, ...question } }) =>
  scoring.clean(captions, question),
)

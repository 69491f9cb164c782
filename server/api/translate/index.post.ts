import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { withRetry } from '../../services/retry'

/** Texts in another language, as the translation service knows them. */
export default route('POST /api/translate', async (event, { services }, { body }) => {
  const { texts, from, to } = body
  const { data, source } = await withRetry(() => services.translation.translate(texts, from, to))
  if (data === null)
    throw new Problem(422, 'no-such-pair', 'The translation service does not know these two languages.')
  return { texts: data, source }
})

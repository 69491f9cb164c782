import { route } from '../../http/route'
import { isServiceFault, withRetry } from '../../services/retry'

/** What the translation service can do: by POST, since a live one is asked. */
export default route('POST /api/translate/languages', async (event, { services }) => {
  try {
    const { data, source } = await withRetry(() => services.translation.languages())
    return { ...data, source, problem: null }
  } catch (error) {
    if (!isServiceFault(error)) throw error
    return { pairs: [], note: '', source: null, problem: (error as Error).message }
  }
})

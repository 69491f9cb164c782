import { phrasesFound } from '../../demand/phrasesFound'
import { route } from '../../http/route'

/** Phrases in a text, with their searches as far as they are known; nothing is asked of a service. */
export default route('POST /api/phrases/found', async (event, { phrases }, { body: { text, region, language } }) => ({
  rows: await phrasesFound(phrases, text, region ?? '', language),
}))

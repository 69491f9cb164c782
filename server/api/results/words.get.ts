import { phraseKey } from '../../../core/text/words'
import { keptPage } from '../../demand/assess'
import { route } from '../../http/route'
import { askable } from '../../http/askable'
import { answerWords } from '../../rivals/pageWords'

export default route('GET /api/results/words', async (event, open, { query }) => {
  const runtime = askable(event, open)
  const { phrase, region, language, depth, from } = query
  const { page } = await keptPage(runtime, phrase, region ?? '', language, depth, from)
  return answerWords(runtime, page, phraseKey(phrase), language)
})

import { resultsQuerySchema } from '../../../shared/rivals'
import { phraseKey } from '../../../core/text/words'
import { keptPage } from '../../demand/assess'
import { queryOf, route } from '../../http/route'
import { answerWords } from '../../rivals/pageWords'

export default route(async (event, runtime) => {
  const { phrase, region, language, depth, from } = queryOf(event, resultsQuerySchema)
  const { page } = await keptPage(runtime, phrase, region ?? '', language, depth, from)
  return answerWords(runtime, page, phraseKey(phrase), language)
})

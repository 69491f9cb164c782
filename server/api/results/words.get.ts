import { resultsQuerySchema } from '../../../shared/rivals'
import { phraseKey } from '../../../core/text/words'
import { keptPage } from '../../demand/assess'
import { queryOf, route } from '../../http/route'
import { askable } from '../../http/askable'
import { answerWords } from '../../rivals/pageWords'

export default route(async (event, open) => {
  const runtime = askable(event, open)
  const { phrase, region, language, depth, from } = queryOf(event, resultsQuerySchema)
  const { page } = await keptPage(runtime, phrase, region ?? '', language, depth, from)
  return answerWords(runtime, page, phraseKey(phrase), language)
})

import { phraseKey } from '../../../core/text/words'
import { keptPage } from '../../demand/assess'
import { route } from '../../http/route'
import { askable } from '../../http/askable'
import { pageOfDay } from '../../rivals/pageOfDay'
import { answerResults } from '../../rivals/resultsAnswer'

export default route('GET /api/results', async (event, open, { query }) => {
  const runtime = askable(event, open)
  const views = await runtime.search.viewsModel()
  if (query.day) {
    const page = pageOfDay(runtime, query, query.day)
    return answerResults(runtime, page, { ...query, phrase: phraseKey(query.phrase) }, views, null)
  }
  const { page, problem } = await keptPage(
    runtime,
    query.phrase,
    query.region ?? '',
    query.language,
    query.depth,
    query.from,
    query.anew === '1',
  )
  return answerResults(runtime, page, { ...query, phrase: phraseKey(query.phrase) }, views, problem)
})

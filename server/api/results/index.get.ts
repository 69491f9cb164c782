import { resultsQuerySchema } from '../../../shared/rivals'
import { phraseKey } from '../../../core/text/words'
import { keptPage } from '../../demand/assess'
import { queryOf, route } from '../../http/route'
import { askable } from '../../http/askable'
import { answerResults } from '../../rivals/resultsAnswer'

export default route(async (event, open) => {
  const runtime = askable(event, open)
  const query = queryOf(event, resultsQuerySchema)
  const { page, problem } = await keptPage(
    runtime,
    query.phrase,
    query.region ?? '',
    query.language,
    query.depth,
    query.from,
    query.anew === '1',
  )
  return answerResults(
    runtime,
    page,
    { ...query, phrase: phraseKey(query.phrase) },
    await runtime.search.viewsModel(),
    problem,
  )
})

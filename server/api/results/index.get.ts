import { phraseKey } from '../../../core/text/words'
import { keptPage } from '../../demand/assess'
import { route } from '../../http/route'
import { askable } from '../../http/askable'
import { answerResults } from '../../rivals/resultsAnswer'

export default route('GET /api/results', async (event, open, { query }) => {
  const runtime = askable(event, open)
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

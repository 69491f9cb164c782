import { answerDetail } from '../../demand/sheet'
import { sheetFor } from '../../http/sheetFor'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'

export default route('GET /api/phrases/detail', (event, runtime, { query }) => {
  const { phrase, region, language, workspace } = query
  const detail = answerDetail(runtime.phrases, runtime.results, phrase, region, language, sheetFor(runtime, workspace))
  if (!detail)
    throw new Problem(
      404,
      'unknown-phrase',
      `No data for “${phrase}” yet. Search for it as a seed, or import a list that includes it.`,
    )
  return detail
})

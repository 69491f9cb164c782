import { answerDetail } from '../../demand/sheet'
import { phraseQuestion, sheetFor } from '../../http/phraseQuestion'
import { Problem } from '../../http/problem'
import { queryOf, route } from '../../http/route'

export default route((event, runtime) => {
  const { phrase, region, language, workspace } = queryOf(event, phraseQuestion)
  const detail = answerDetail(runtime.phrases, runtime.results, phrase, region, language, sheetFor(runtime, workspace))
  if (!detail)
    throw new Problem(
      404,
      'unknown-phrase',
      `No data for “${phrase}” yet. Search for it as a seed, or import a list that includes it.`,
    )
  return detail
})

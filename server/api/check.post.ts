import { route } from '../http/route'
import { profileOf, ruleSetOf } from '../http/scoring'

export default route('POST /api/check', async (event, runtime, { body }) => {
  const { draft, phrases, ruleSet, profile, language, context } = body
  return runtime.scoring.score(
    draft,
    phrases,
    ruleSetOf(runtime, ruleSet),
    profileOf(runtime, profile),
    language,
    context,
  )
})

import { route } from '../http/route'
import { profileOf, ruleSetOf } from '../http/scoring'

export default route('POST /api/check', async (event, { scoring }, { body }) => {
  const { draft, phrases, ruleSet, profile, language, context } = body
  return scoring.score(draft, phrases, ruleSetOf(ruleSet), profileOf(profile), language, context)
})

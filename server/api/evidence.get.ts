import { evidenceAnswer } from '../desk/evidence'
import { route } from '../http/route'
import { profileOf, ruleSetOf } from '../http/scoring'

/** What was last worked out; how many pages came since is told with it. */
export default route('GET /api/evidence', (event, runtime, { query }) => {
  const { ruleSet, profile, ...pages } = query
  return evidenceAnswer(runtime, ruleSetOf(runtime, ruleSet), profileOf(runtime, profile), pages)
})

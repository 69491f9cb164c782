import { route } from '../../http/route'
import { profileOf, ruleSetOf } from '../../http/scoring'
import { workspaceOf } from '../../http/workspaceOf'
import { trialQuestions } from '../../ranks/trialQuestions'

/** What can be tried over one’s own videos. */
export default route('GET /api/trials/questions', (_, runtime, { query }) => {
  const { workspace, region, ruleSet, profile, outcome, weeks, check, field } = query
  const aim = {
    workspace: workspaceOf(runtime, workspace).id,
    region: region ?? '',
    set: ruleSetOf(runtime, ruleSet),
    profile: profileOf(runtime, profile),
    outcome,
    weeks,
  }
  return trialQuestions(runtime, aim, check !== undefined && field ? { check, field } : undefined)
})

import { ndjson } from '../../http/ndjson'
import { route } from '../../http/route'
import { profileOf, ruleSetOf } from '../../http/scoring'
import { workspaceOf } from '../../http/workspaceOf'
import { auditOf } from '../../ranks/audit'

/** What the channel's videos lack, worth most first. */
export default route('GET /api/videos/audit', (event, runtime, { query }) => {
  const { workspace, region, ruleSet, profile, sort } = query
  const question = {
    workspace: workspaceOf(runtime, workspace).id,
    region: region ?? '',
    set: ruleSetOf(runtime, ruleSet),
    profile: profileOf(runtime, profile),
    sort,
  }
  return ndjson(event, 'An audit of videos', signal => auditOf(runtime, question, signal))
})

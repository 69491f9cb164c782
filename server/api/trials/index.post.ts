import { setResponseStatus } from 'h3'
import { route } from '../../http/route'
import { profileOf, ruleSetOf } from '../../http/scoring'
import { workspaceOf } from '../../http/workspaceOf'
import { seenChanges } from '../../ranks/trialQuestions'
import { startTrial } from '../../ranks/trials'

/** Draws a trial over those of the videos whose change is still as it was looked at. */
export default route('POST /api/trials', async (event, runtime, { body }) => {
  const { workspace, region, ruleSet, profile, outcome, weeks, waves, check, field } = body
  const { id } = workspaceOf(runtime, workspace)
  const set = ruleSetOf(runtime, ruleSet)
  const aim = { workspace: id, region: region ?? '', set, profile: profileOf(runtime, profile), outcome, weeks }
  const changes = await seenChanges(runtime, aim, body)
  const trial = startTrial(
    runtime,
    { workspaceId: id, check, ruleSet: set.name, field, outcome, weeks, waves },
    changes,
  )
  setResponseStatus(event, 201)
  return { trial }
})

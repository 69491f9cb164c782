import { paramOf, route } from '../../../http/route'
import { workspaceOf } from '../../../http/workspaceOf'
import { stopTrial, trialOf } from '../../../ranks/trials'

/** Gives a trial up. */
export default route('DELETE /api/trials/:trial', (event, runtime, { query }) => ({
  trial: stopTrial(runtime, trialOf(runtime, workspaceOf(runtime, query.workspace).id, paramOf(event, 'trial'))),
}))

import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { trialAnswer } from '../../ranks/trials'

/** Trials over one’s own videos, newest first. */
export default route('GET /api/trials', (_, runtime, { query }) => ({
  trials: runtime.trials.of(workspaceOf(runtime, query.workspace).id).map(trial => trialAnswer(runtime, trial)),
}))

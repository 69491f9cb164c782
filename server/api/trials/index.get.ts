import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { trialAnswers } from '../../ranks/trials'

/** Trials over one’s own videos, newest first. */
export default route('GET /api/trials', async (_, runtime, { query }) => ({
  trials: await trialAnswers(runtime, workspaceOf(runtime, query.workspace).id),
}))

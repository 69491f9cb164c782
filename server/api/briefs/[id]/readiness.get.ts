import { askable } from '../../../http/askable'
import { briefOf } from '../../../http/briefOf'
import { route } from '../../../http/route'
import { lookAtAccount } from '../../../release/account'
import { readinessAnswer } from '../../../release/readiness'

/** How far a brief is from its release: every point of its sheet. */
export default route('GET /api/briefs/:id/readiness', async (event, open, { query }) => {
  const runtime = askable(event, open)
  const brief = briefOf(event, runtime)
  const { channelId } = runtime.workspaces.get(brief.workspaceId)!
  return readinessAnswer(runtime, brief, await lookAtAccount(runtime, channelId, query.anew === '1'))
})

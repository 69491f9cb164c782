import { askable } from '../http/askable'
import { route } from '../http/route'
import { workspaceOf } from '../http/workspaceOf'
import { lookAtAccount } from '../release/account'

/** What the account may do for a workspace's channel. */
export default route('GET /api/account', (event, open, { query }) => {
  const runtime = askable(event, open)
  return lookAtAccount(runtime, workspaceOf(runtime, query.workspace).channelId, query.anew === '1')
})

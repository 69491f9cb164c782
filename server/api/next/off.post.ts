import { DAY } from '../../../core/time'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** A proposal is not to come for some days, or any more. */
export default route('POST /api/next/off', (_, runtime, { body: { workspace, key, days } }) => {
  const now = runtime.now()
  const until = days === null ? null : now + days * DAY
  runtime.putOff.put(workspaceOf(runtime, workspace).id, key, until, now)
  return { until }
})

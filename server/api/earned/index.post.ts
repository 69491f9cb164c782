import { setResponseStatus } from 'h3'
import { dayNamed, rankDay } from '../../../core/ranks/standing'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { toldLine } from '../../ranks/earned'

/** What a video brought on a day, as a person tells it. */
export default route('POST /api/earned', (event, runtime, { body: { workspace, videoId, ...told } }) => {
  const { earned, now } = runtime
  const { id } = workspaceOf(runtime, workspace)
  const line = { ...told, video: videoId, day: dayNamed(told.day) }
  if (line.day > rankDay(now()) + 1) throw new Problem(400, 'future-day', 'This day is still to come.')
  const before = earned.tell(id, line)
  setResponseStatus(event, 201)
  return { line: toldLine(line), before: before && toldLine(before) }
})

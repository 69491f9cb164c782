import { setResponseStatus } from 'h3'
import { dayNamed } from '../../../core/ranks/standing'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { toldLine } from '../../ranks/earned'

/** What a video brought on a day, as a person tells it. */
export default route('POST /api/earned', (event, runtime, { body: { workspace, videoId, ...told } }) => {
  const { earned } = runtime
  const { id } = workspaceOf(runtime, workspace)
  const line = { ...told, video: videoId, day: dayNamed(told.day) }
  const before = earned.line(id, line)
  earned.save(id, [line])
  setResponseStatus(event, 201)
  return { line: toldLine(line), before: before && toldLine(before) }
})

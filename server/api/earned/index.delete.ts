import { dayNamed } from '../../../core/ranks/standing'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** Removes a line that was told. */
export default route('DELETE /api/earned', (_, runtime, { query: { workspace, videoId, day, kind, link } }) => {
  const { id } = workspaceOf(runtime, workspace)
  return { removed: runtime.earned.remove(id, { video: videoId, day: dayNamed(day), kind, link }) }
})

import { askable } from '../../../http/askable'
import { paramOf, route } from '../../../http/route'
import { workspaceOf } from '../../../http/workspaceOf'
import { lookAtViews, viewsAnswer } from '../../../ranks/views'

/** How a video was watched, day by day. */
export default route('GET /api/videos/:id/views', async (event, open, { query }) => {
  const runtime = askable(event, open)
  const workspace = workspaceOf(runtime, query.workspace)
  const id = paramOf(event, 'id')
  return viewsAnswer(runtime, id, workspace, await lookAtViews(runtime, id, query.anew === '1'))
})

import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import type { OutVideo } from '../../ranks/outVideos'
import { pointsAnswer } from '../../ranks/pointsAnswer'

/** Whether points go with what became of one’s own videos. */
export default route('GET /api/ranks/points', async (_, runtime, { query }) => {
  const { id } = workspaceOf(runtime, query.workspace)
  const videos = JSON.parse(await runtime.overviews.tell('outVideos', id, query.region ?? '')) as OutVideo[]
  return pointsAnswer(runtime, id, videos)
})

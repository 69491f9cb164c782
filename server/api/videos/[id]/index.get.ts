import { Problem } from '../../../http/problem'
import { paramOf, route } from '../../../http/route'
import { answerVideo } from '../../../rivals/channelLook'

export default route('GET /api/videos/:id', async (event, runtime) => {
  const answer = answerVideo(runtime, paramOf(event, 'id'), await runtime.search.viewsModel())
  if (!answer) throw new Problem(404, 'unknown-video', 'This video is unknown. Open it from a result page.')
  return answer
})

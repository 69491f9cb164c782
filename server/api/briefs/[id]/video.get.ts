import { briefOf } from '../../../http/briefOf'
import { route } from '../../../http/route'
import { videoOfBrief } from '../../../ranks/videoOfBrief'

/** The video that a brief came out as. */
export default route('GET /api/briefs/:id/video', (event, runtime) => ({
  video: videoOfBrief(runtime, briefOf(event, runtime)),
}))

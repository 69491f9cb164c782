import { briefOf } from '../../../http/briefOf'
import { route } from '../../../http/route'
import { apply, applyAnswer } from '../../../release/apply'

/** A brief beside a video that is there; the parts that are named are changed there. */
export default route('POST /api/briefs/:id/apply', (event, runtime, { body }) => {
  const brief = briefOf(event, runtime)
  return body.fields.length ? apply(runtime, brief, body) : applyAnswer(runtime, brief, body.videoId)
})

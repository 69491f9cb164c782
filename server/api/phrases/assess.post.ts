import { setResponseStatus } from 'h3'
import { assessWork } from '../../demand/assessWork'
import { askable } from '../../http/askable'
import { ndjson } from '../../http/ndjson'
import { route } from '../../http/route'
import { inDigits } from '../../../core/text/inWords'

/** More phrases than this become a job of their own, which a closed window does not end. */
const STREAMED = 400

export default route('POST /api/phrases/assess', async (event, open, { body }) => {
  const runtime = askable(event, open)
  if (body.phrases.length > STREAMED) {
    setResponseStatus(event, 202)
    const title = body.title ?? `${inDigits(body.phrases.length)} phrases assessed`
    return {
      job: runtime.jobs.start('assess', title, body, body.phrases.length, signal => assessWork(runtime, body, signal)),
    }
  }
  return ndjson(event, 'An assessment', signal => assessWork(runtime, body, signal))
})

import { setResponseHeader, setResponseStatus } from 'h3'
import { PassThrough } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { assessWork } from '../../demand/assessWork'
import { askable } from '../../http/askable'
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
  const stop = new AbortController()
  event.node.res.on('close', () => stop.abort())
  setResponseHeader(event, 'Content-Type', 'application/x-ndjson; charset=utf-8')
  const lines = async function* () {
    for await (const row of assessWork(runtime, body, stop.signal)) yield `${JSON.stringify(row)}\n`
  }
  // Begun here, not when it is first read: what it changes is then known to be this window's doing.
  const sent = new PassThrough()
  void pipeline(lines(), sent).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== 'ERR_STREAM_PREMATURE_CLOSE') console.error('An assessment was broken off:', error)
  })
  return sent
})

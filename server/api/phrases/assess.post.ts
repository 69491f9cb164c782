import { setResponseHeader, setResponseStatus } from 'h3'
import { Readable } from 'node:stream'
import { assessBodySchema } from '../../../shared/phrases'
import { assess } from '../../demand/assess'
import { bodyOf, route } from '../../http/route'

/** More phrases than this become a job of their own, which a closed window does not end. */
const STREAMED = 400

export default route(async (event, { phrases, results, services, jobs }) => {
  const { phrases: list, region, language } = await bodyOf(event, assessBodySchema)
  const work = (signal: AbortSignal) => assess({ phrases, results, services }, list, region ?? '', language, signal)
  if (list.length > STREAMED) {
    setResponseStatus(event, 202)
    return { job: jobs.start('assess', list.length, work) }
  }
  const stop = new AbortController()
  event.node.res.on('close', () => stop.abort())
  setResponseHeader(event, 'Content-Type', 'application/x-ndjson; charset=utf-8')
  const lines = async function* () {
    for await (const row of work(stop.signal)) yield `${JSON.stringify(row)}\n`
  }
  return Readable.from(lines())
})

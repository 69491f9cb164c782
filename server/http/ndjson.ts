import { setResponseHeader, type H3Event } from 'h3'
import { PassThrough } from 'node:stream'
import { pipeline } from 'node:stream/promises'

/**
 * Answers with a line of JSON for each thing, as they come. Whoever stops reading ends the work; a failure in the
 * middle breaks the answer off, as its status is sent by then.
 *
 * @param what it is, for the log. @param finished called once nothing more is sent.
 */
export function ndjson<Line>(
  event: H3Event,
  what: string,
  lines: (signal: AbortSignal) => AsyncIterable<Line>,
  finished: () => unknown = () => undefined,
): PassThrough {
  const stop = new AbortController()
  event.node.res.on('close', () => {
    stop.abort()
  })
  setResponseHeader(event, 'Content-Type', 'application/x-ndjson; charset=utf-8')
  const texts = async function* () {
    for await (const line of lines(stop.signal)) yield `${JSON.stringify(line)}\n`
  }
  // Begun here, not when it is first read: what it changes is then known to be this window's doing.
  const sent = new PassThrough()
  void pipeline(texts(), sent)
    .catch((error: NodeJS.ErrnoException) => {
      if (error.code !== 'ERR_STREAM_PREMATURE_CLOSE') console.error(`${what} was broken off:`, error)
    })
    .finally(finished)
  return sent
}

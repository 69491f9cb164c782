import { setResponseHeader } from 'h3'
import { Readable } from 'node:stream'
import { places } from '../../folders'
import { route } from '../../http/route'
import { readInThread } from '../../threads/readInThread'

async function* bytesOf(importThread: string, file: string): AsyncGenerator<Uint8Array> {
  for await (const { bytes } of readInThread(importThread, 'archived', { file })) yield bytes
}

/** Everything as one ZIP file, sent while it is made. */
export default route('GET /api/data/archive', (event, { importThread, now }) => {
  const day = new Date(now()).toISOString().slice(0, 10)
  setResponseHeader(event, 'Content-Type', 'application/zip')
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="fonetra-${day}.zip"`)
  return Readable.from(bytesOf(importThread, places().file), { objectMode: false })
})

import { getRequestHeader, setResponseStatus } from 'h3'
import { renameSync } from 'node:fs'
import { rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { z } from 'zod'
import { onDisk } from '../../../data/onDisk'
import { readToFile } from '../../../http/body'
import { briefOf } from '../../../http/briefOf'
import { Problem } from '../../../http/problem'
import { route } from '../../../http/route'
import { assertSendable, outgoingFile, publishAnswer, startPublishing } from '../../../release/publish'

/** A video's file can have so many bytes; the site says what it takes of a channel. */
const MOST_BYTES = 64 * 2 ** 30
const key = z.uuid()

/** Publishes a brief with the file in the body: once, however often it is asked for under its key. */
export default route('POST /api/briefs/:id/publish', async (event, runtime, { query }) => {
  const brief = briefOf(event, runtime)
  const { success, data: id } = key.safeParse(getRequestHeader(event, 'idempotency-key'))
  if (!success)
    throw new Problem(
      400,
      'no-key',
      'Send a UUID of your own as the header Idempotency-Key: a repeat is then no second video.',
    )
  setResponseStatus(event, 202)
  const answer = () => publishAnswer(runtime, brief)
  const before = runtime.publications.get(id)
  if (before) {
    if (before.briefId !== brief.id)
      throw new Problem(409, 'other-key', 'This key belongs to another brief. Send it under a key of its own.')
    startPublishing(runtime, id)
    return answer()
  }
  const now = answer()
  assertSendable(now)
  const { seconds } = brief.fields
  if (seconds === null)
    throw new Problem(422, 'not-ready', 'The length of the video is not known. Open it under Cards and end.')
  const file = join(runtime.uploads, `upload-${uuid()}.tmp`)
  try {
    await readToFile(event, MOST_BYTES, file)
    const { size } = await stat(file)
    if (!size) throw new Problem(422, 'no-file', 'There is no video in this request. Choose its file.')
    await onDisk(file)
    const name = query.name?.split(/[/\\]/u).at(-1)?.slice(0, 500) || brief.fields.fileName || 'video'
    const { channel } = now
    const given = { id, briefId: brief.id, channel: channel!.id, file: name, bytes: size, seconds }
    if (runtime.publications.begin(given)) renameSync(file, outgoingFile(runtime.outgoing, id))
    // The same was asked for twice at once, or another window was faster while the file came in.
    else if (runtime.publications.get(id)?.briefId !== brief.id) assertSendable(answer())
  } finally {
    await rm(file, { force: true })
  }
  startPublishing(runtime, id)
  return answer()
})

import type { H3Event } from 'h3'
import { createWriteStream } from 'node:fs'
import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { v7 as uuid } from 'uuid'
import { Problem } from './problem'

const MAX_FILE = 600 * 1024 * 1024

/**
 * Takes the body as a file, bounded, for as long as it is worked on. The work is told by a signal when nobody waits for its answer any more.
 * @throws Problem 422 with the reason when the file cannot be read; what SQLite says is passed on.
 */
export async function withUpload<Result>(event: H3Event, folder: string, work: (file: string, gone: AbortSignal) => Promise<Result>): Promise<Result> {
  const file = join(folder, `upload-${uuid()}.tmp`)
  let size = 0
  const gone = new AbortController()
  event.node.res.once('close', () => { gone.abort() })
  const bounded = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      size += chunk.length
      done(size > MAX_FILE ? new Problem(413, 'too-long', `A file can be ${MAX_FILE / 1024 / 1024} MB at most. Split it.`) : null, chunk)
    },
  })
  try {
    await pipeline(event.node.req, bounded, createWriteStream(file))
    return await work(file, gone.signal).catch((error: Error & { code?: string }) => { throw error instanceof Problem || error.code?.startsWith('SQLITE') ? error : new Problem(422, 'unreadable', error.message) })
  } finally {
    await rm(file, { force: true })
  }
}

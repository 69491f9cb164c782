import type { H3Event } from 'h3'
import { open } from 'node:fs/promises'
import { Problem } from './problem'

const tooLong = (most: number) =>
  new Problem(
    413,
    'too-long',
    `This is more than the ${most >= 1 << 20 ? `${most / 2 ** 20} MB` : `${most / 1024} KB`} that can be sent in one request. Send it in parts.`,
  )

/**
 * Counts the body of a request while it comes in, told in advance or not. Past the limit nothing more is kept: the rest
 * is read and dropped, so that the answer reaches whoever is still sending.
 *
 * @param take told each piece; what it returns is waited for.
 * @throws Problem 413 at the limit.
 */
async function readBounded(event: H3Event, most: number, take: (piece: Buffer) => unknown): Promise<void> {
  const { req } = event.node
  const drop = () => {
    req.removeAllListeners('data')
    req.resume()
  }
  if (Number(req.headers['content-length'] ?? 0) > most) {
    drop()
    throw tooLong(most)
  }
  let size = 0
  let taken: unknown
  await new Promise<void>((resolve, reject) => {
    const fail = (error: unknown) => {
      drop()
      reject(error instanceof Error ? error : new Error(String(error)))
    }
    req.on('data', (piece: Buffer) => {
      size += piece.length
      if (size > most) return fail(tooLong(most))
      taken = take(piece)
      if (!(taken instanceof Promise)) return
      req.pause()
      taken.then(() => {
        req.resume()
      }, fail)
    })
    // The end can come while the last piece is still being taken.
    req.once('end', () => {
      Promise.resolve(taken).then(() => {
        resolve()
      }, fail)
    })
    req.once('error', fail)
    req.once('close', () => {
      if (!req.readableEnded) reject(new Problem(400, 'cut-off', 'The request ended before it was complete.'))
    })
  })
}

/** The body as text of at most so many bytes. */
export async function readText(event: H3Event, most: number): Promise<string> {
  const pieces: Buffer[] = []
  await readBounded(event, most, piece => {
    pieces.push(piece)
  })
  return Buffer.concat(pieces).toString('utf8')
}

/** The body as a file of at most so many bytes. */
export async function readToFile(event: H3Event, most: number, file: string): Promise<void> {
  const handle = await open(file, 'wx', 0o600)
  try {
    await readBounded(event, most, async piece => {
      // Writes all of it, which a plain write need not.
      await handle.writeFile(piece)
    })
  } finally {
    await handle.close()
  }
}

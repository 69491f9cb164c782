import { getRequestHeader, setResponseHeader, type H3Event } from 'h3'
import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import { PassThrough } from 'node:stream'
import { v7 as uuid } from 'uuid'
import type { ImportLine, ImportProgress } from '../../shared/imports'
import { readToFile } from './body'
import { DataProblem, faultOf, isOfSqlite } from '../data/dataProblem'
import { Problem, problemOf } from './problem'

const MAX_FILE = 600 * 1024 * 1024
const NDJSON = 'application/x-ndjson'
/** Milliseconds between two lines that tell how far the work is. */
const TOLD_EVERY = 150

/** An uploaded file, a signal that its sender has left, and a way to report progress. */
export interface Upload {
  file: string
  /** Aborted when nobody waits for the answer any more. */
  gone: AbortSignal
  /** Says how far the work is; what comes in between two lines is left out. */
  report: (progress: ImportProgress) => void
}

/**
 * Takes the body as a file, bounded, for as long as it is worked on. Who accepts `application/x-ndjson` is told how far
 * the work is, and has the answer or the error in the last line; others have it as the body.
 * @param most bytes; a larger one is refused before it is read whole.
 * @throws Problem 422 with the reason when the file cannot be read; what SQLite or the disk says is passed on.
 */
export async function withUpload<Answer>(
  event: H3Event,
  folder: string,
  work: (upload: Upload) => Promise<Answer>,
  most = MAX_FILE,
): Promise<Answer | PassThrough> {
  const file = join(folder, `upload-${uuid()}.tmp`)
  const gone = new AbortController()
  event.node.res.once('close', () => {
    gone.abort()
  })
  const done = async (report: Upload['report']) => {
    try {
      return await work({ file, gone: gone.signal, report })
    } catch (error) {
      if (error instanceof Problem || error instanceof DataProblem || faultOf(error) || isOfSqlite(error)) throw error
      throw new Problem(422, 'unreadable', error instanceof Error ? error.message : String(error))
    } finally {
      await rm(file, { force: true })
    }
  }
  try {
    await readToFile(event, most, file)
  } catch (error) {
    await rm(file, { force: true })
    throw error
  }
  if (!getRequestHeader(event, 'accept')?.includes(NDJSON)) return done(() => undefined)
  setResponseHeader(event, 'Content-Type', `${NDJSON}; charset=utf-8`)
  return streamed(done)
}

/** Lines of how far it is, then the answer or the error. */
function streamed<Answer>(work: (report: Upload['report']) => Promise<Answer>): PassThrough {
  const lines = new PassThrough()
  // Whoever has left reads no more; the work learns it by its signal.
  lines.on('error', () => undefined)
  const say = (line: ImportLine<Answer>) => {
    if (!lines.destroyed) lines.write(`${JSON.stringify(line)}\n`)
  }
  let toldAt = 0
  const report = (progress: ImportProgress) => {
    if (Date.now() - toldAt < TOLD_EVERY) return
    toldAt = Date.now()
    say(progress)
  }
  void work(report)
    .then(
      answer => {
        say({ answer })
      },
      (error: unknown) => {
        const { status, body } = problemOf(error)
        if (status === 500) console.error(error)
        say({ status, ...body })
      },
    )
    .finally(() => {
      lines.end()
    })
  return lines
}

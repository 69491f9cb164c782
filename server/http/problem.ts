import { ZodError } from 'zod'
import { DataProblem, FAULT_MESSAGES, faultOf, type DataFault } from '../data/dataProblem'
import { ThreadEnded, ThreadLate } from '../threads/restartingThread'
import { isServiceFault } from '../services/retry'

/** A failure with a message a person can act on. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly details: unknown = null,
  ) {
    super(message)
    this.name = 'Problem'
  }
}

export interface ProblemBody {
  error: { code: string; message: string; details: unknown }
}

const body = (code: string, message: string, details: unknown = null): ProblemBody => ({
  error: { code, message, details },
})

/** The API's error code for each fault of the data. */
const DATA_CODES: Record<DataFault, string> = {
  'in-use': 'data-in-use',
  'damaged': 'data-damaged',
  'newer': 'data-newer',
  'not-writable': 'data-not-writable',
  'locked': 'busy',
  'full': 'disk-full',
}

/**
 * The status and body with which an error is answered. What is nobody's expectation is a 500 and is logged by the
 * caller.
 */
export function problemOf(error: unknown): { status: number; body: ProblemBody } {
  if (error instanceof Problem) return { status: error.status, body: body(error.code, error.message, error.details) }
  if (error instanceof ZodError) {
    const issues = error.issues.map(issue => ({ field: issue.path.join('.'), message: issue.message }))
    const first = issues[0]
    return {
      status: 400,
      body: body(
        'bad-input',
        first ? (first.field ? `${first.field}: ${first.message}` : first.message) : 'The input is not valid.',
        issues,
      ),
    }
  }
  if (error instanceof DataProblem)
    return { status: error.fault === 'full' ? 507 : 503, body: body(DATA_CODES[error.fault], error.message) }
  const fault = faultOf(error)
  if (fault) return { status: fault === 'full' ? 507 : 503, body: body(DATA_CODES[fault], FAULT_MESSAGES[fault]) }
  // Asked before the file was closed, answered after.
  if (error instanceof TypeError && error.message === 'The database connection is not open')
    return { status: 503, body: body('busy', 'The data file was closed. Try again in a moment.') }
  // It comes from the thread that scores, where it is known by its name alone.
  if (error instanceof Error && error.name === 'CaptionsFault')
    return { status: 400, body: body('bad-captions', error.message) }
  if (error instanceof ThreadLate) return { status: 422, body: body('too-much', error.message) }
  if (error instanceof ThreadEnded) return { status: 503, body: body('busy', error.message) }
  if (error instanceof Error && (error.name === 'NotAsked' || error.name === 'NoService'))
    return { status: 404, body: body('not-kept', error.message) }
  if (isServiceFault(error))
    return { status: 502, body: body('service', `An outside service did not answer: ${(error as Error).message}`) }
  const status = typeof error === 'object' && error !== null && 'statusCode' in error ? Number(error.statusCode) : 500
  if (status >= 400 && status < 500)
    return { status, body: body('bad-request', (error as Error).message || 'The request cannot be read.') }
  return {
    status: 500,
    body: body('internal', 'Something went wrong on the server, not with your input. See the server log.'),
  }
}

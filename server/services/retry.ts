import { setMaxListeners } from 'node:events'

/** Waits before the second, third and fourth try, in milliseconds. */
const WAITS = [150, 500, 1500]
/** A call that has not answered by then counts as failed. */
const TIME_OUT = 15_000

/** Whether an error is a service's fault rather than a mistake of ours. */
export const isServiceFault = (error: unknown) =>
  error instanceof Error &&
  (error.name === 'ServiceRefused' ||
    error.name === 'ServiceFailed' ||
    error.name === 'ServiceLate' ||
    error.name === 'NotAsked' ||
    error.name === 'NoService')

/** Thrown when the one who asked does not want the answer any more. */
export const isStop = (error: unknown) => error instanceof Error && error.name === 'Stopped'

function stopped(): Error {
  const error = new Error('Stopped.')
  error.name = 'Stopped'
  return error
}

function sleep(ms: number, signal?: AbortSignal): Promise<void> {
  return new Promise((resolve, reject) => {
    if (signal?.aborted) return reject(stopped())
    const end = () => {
      clearTimeout(timer)
      reject(stopped())
    }
    const timer = setTimeout(() => {
      signal?.removeEventListener('abort', end)
      resolve()
    }, ms)
    signal?.addEventListener('abort', end, { once: true })
  })
}

export interface RetryOptions {
  signal?: AbortSignal
  waits?: readonly number[]
  timeOut?: number
}

/**
 * Calls a service, trying again with growing waits when it refuses or fails.
 * @throws the last fault, or what was thrown when it is no service's fault; `Stopped` at once when the signal says so.
 */
export async function withRetry<Result>(
  call: () => Promise<Result>,
  { signal, waits = WAITS, timeOut = TIME_OUT }: RetryOptions = {},
): Promise<Result> {
  // Dozens of calls end by one signal.
  if (signal) setMaxListeners(0, signal)
  for (let tries = 0; ; tries++) {
    if (signal?.aborted) throw stopped()
    try {
      return await inTime(call(), timeOut, signal)
    } catch (error) {
      // Where nobody is asked there is nothing to wait for.
      if (!isServiceFault(error) || (error as Error).name === 'NoService' || tries >= waits.length) throw error
      const wait = waits[tries]! * (0.75 + 0.5 * Math.random())
      await sleep(wait, signal)
    }
  }
}

function inTime<Result>(work: Promise<Result>, timeOut: number, signal?: AbortSignal): Promise<Result> {
  let end: () => void = () => undefined
  const other = new Promise<never>((_, reject) => {
    const timer = setTimeout(() => {
      const error = new Error('The service did not answer in time.')
      error.name = 'ServiceLate'
      reject(error)
    }, timeOut)
    const stop = () => {
      reject(stopped())
    }
    signal?.addEventListener('abort', stop, { once: true })
    end = () => {
      clearTimeout(timer)
      signal?.removeEventListener('abort', stop)
    }
  })
  // What loses the race is nobody's business any more.
  work.catch(() => undefined)
  return Promise.race([work, other]).finally(() => {
    end()
  })
}

/** Waits before the second, third and fourth try, in milliseconds. */
const WAITS = [150, 500, 1500]
/** A call that has not answered by then counts as failed. */
const TIME_OUT = 15_000

/** Whether an error is a service's fault rather than a mistake of ours. */
export const isServiceFault = (error: unknown) => error instanceof Error && (error.name === 'ServiceRefused' || error.name === 'ServiceFailed' || error.name === 'ServiceLate')

/**
 * Calls a service, trying again with growing waits when it refuses or fails.
 * @param signal stops at the next try.
 * @throws the last fault, or what was thrown when it is no service's fault.
 */
export async function withRetry<Result>(call: () => Promise<Result>, signal?: AbortSignal, waits: readonly number[] = WAITS, timeOut = TIME_OUT): Promise<Result> {
  for (let tries = 0; ; tries++) {
    try {
      return await inTime(call(), timeOut)
    } catch (error) {
      if (!isServiceFault(error) || tries >= waits.length || signal?.aborted) throw error
      await new Promise(resolve => setTimeout(resolve, waits[tries]! * (0.75 + 0.5 * Math.random())))
    }
  }
}

function inTime<Result>(work: Promise<Result>, timeOut: number): Promise<Result> {
  let timer: NodeJS.Timeout
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      const error = new Error('The service did not answer in time.')
      error.name = 'ServiceLate'
      reject(error)
    }, timeOut)
  })
  return Promise.race([work, late]).finally(() => clearTimeout(timer))
}

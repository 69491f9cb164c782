import { setImmediate as nextTurn } from 'node:timers/promises'

/** Work that is done in steps gives way to others after so many milliseconds. */
const LONGEST = 8

/** Does work that yields between its steps, so that no request waits for it. @returns what it returns. */
export async function inTurns<Result>(work: Generator<undefined, Result>): Promise<Result> {
  for (let since = performance.now(); ;) {
    const { done, value } = work.next()
    if (done) return value
    if (performance.now() - since < LONGEST) continue
    await nextTurn()
    since = performance.now()
  }
}

/** What work done in steps comes to. */
export function finished<Result>(work: Generator<undefined, Result>): Result {
  for (;;) {
    const { done, value } = work.next()
    if (done) return value
  }
}

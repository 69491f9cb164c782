/** An answer that most of a page give, and how many of how many do. */
export interface Proposed {
  value: string
  times: number
  of: number
}

/** Fewer than these are no page. */
const LEAST = 5

/**
 * What most of a page's videos say of themselves.
 * @param told what each says; `null` where it says nothing.
 * @returns `null` where it is not more than half of those that say anything.
 */
export function mostSay(told: readonly (string | null)[]): Proposed | null {
  const said = told.filter(each => each !== null)
  if (said.length < LEAST) return null
  const counts = new Map<string, number>()
  for (const value of said) counts.set(value, (counts.get(value) ?? 0) + 1)
  const [value, times] = [...counts].reduce((a, b) => (b[1] > a[1] ? b : a))
  return times * 2 > said.length ? { value, times, of: told.length } : null
}

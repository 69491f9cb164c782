import type { Months } from './volume'

export interface Spike {
  /** Indexes into the months, both within. */
  from: number
  to: number
  /** Part of all the months' searches that falls in it. */
  share: number
  /** Whether it had ended by the last month. */
  over: boolean
}

const WINDOW = 4
const LEAST_SHARE = 0.5
/** The same calendar months of another year reach less than this part of it, or it is a season. */
const REPEATS = 1 / 3

/**
 * A spike: over half of all searches within four neighbouring months that do not repeat in
 * other years. Unknown months count as none.
 * @returns `null` with less than two years, or no spike.
 */
export function spike(months: Months): Spike | null {
  if (months.length < 24) return null
  const values = months.map(month => month ?? 0)
  const total = values.reduce((a, b) => a + b, 0)
  const sumFrom = (from: number) =>
    values.slice(Math.max(0, from), Math.max(0, from + WINDOW)).reduce((a, b) => a + b, 0)
  let best = 0
  for (let from = 1; from + WINDOW <= values.length; from++) if (sumFrom(from) > sumFrom(best)) best = from
  const sum = sumFrom(best)
  if (total <= 0 || sum / total <= LEAST_SHARE) return null
  for (const years of [-24, -12, 12, 24])
    if (best + years >= 0 && best + years + WINDOW <= values.length && sumFrom(best + years) >= REPEATS * sum)
      return null
  // A window of four around a spike of two begins with quiet months: they are not part of it.
  const quiet = (total - sum) / Math.max(1, values.length - WINDOW)
  let [from, to] = [best, best + WINDOW - 1]
  while (from < to && values[from]! <= 2 * quiet) from++
  while (to > from && values[to]! <= 2 * quiet) to--
  return { from, to, share: sum / total, over: to < values.length - 1 }
}

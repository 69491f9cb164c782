/** Searches a month, oldest first; `null` where unknown. Usually 36 values. */
export type Months = readonly (number | null)[]

/**
 * Mean searches a month over the last 12 months; `null` unless all twelve are known.
 * @returns searches a month, unrounded, 0 or more.
 */
export function meanVolume(months: Months): number | null {
  if (months.length < 12) return null
  let sum = 0
  for (const month of months.slice(-12)) {
    if (month === null) return null
    sum += month
  }
  return sum / 12
}

/**
 * Change over twelve months: the last three months against the same three a year before.
 * @returns a fraction (.25 is a quarter more); `null` when a month is unknown or the year-ago
 * months held no searches, since a ratio to nothing says nothing.
 */
export function yearChange(months: Months): number | null {
  if (months.length < 15) return null
  const sum = (from: number) => {
    let total = 0
    for (const month of months.slice(months.length - from, months.length - from + 3)) {
      if (month === null) return null
      total += month
    }
    return total
  }
  const now = sum(3)
  const before = sum(15)
  if (now === null || before === null || before === 0) return null
  return now / before - 1
}

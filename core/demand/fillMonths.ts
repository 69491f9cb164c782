import type { Months } from './volume'

/**
 * Months with inner gaps bridged in a straight line, for what needs an unbroken series.
 * @param most unknown months allowed.
 * @returns `null` when more are unknown, or one at either end.
 */
export function fillMonths(months: Months, most = 3): number[] | null {
  const filled = months.map(month => month ?? Number.NaN)
  let gaps = 0
  for (let i = 0; i < filled.length; i++) {
    if (!Number.isNaN(filled[i]!)) continue
    let to = i
    while (to < filled.length && Number.isNaN(filled[to]!)) to++
    gaps += to - i
    if (i === 0 || to === filled.length || gaps > most) return null
    const [from, step] = [filled[i - 1]!, (filled[to]! - filled[i - 1]!) / (to - i + 1)]
    for (let k = i; k < to; k++) filled[k] = from + step * (k - i + 1)
  }
  return filled
}

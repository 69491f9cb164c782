import { DAY } from '../time'
/**
 * All looks of the last weeks stay; older ones a week apart, and after a year a month apart: a curve of ranks shows no
 * more.
 */
export const WHOLE = 60 * DAY
const WEEKLY = 365 * DAY
const MONTH = 30 * DAY
const WEEK = 7 * DAY

/**
 * Which looks at a page are not needed any more for its history.
 *
 * @param looks times of the looks, in any order. @param now UTC milliseconds.
 * @returns their indexes; the first and the last look always stay.
 */
export function looksToDrop(looks: readonly number[], now: number): number[] {
  const order = looks.map((at, i) => ({ at, i })).sort((a, b) => b.at - a.at)
  const dropped: number[] = []
  let kept = Infinity
  for (const [n, { at, i }] of order.entries()) {
    const age = now - at
    const apart = age <= WHOLE ? 0 : age <= WEEKLY ? WEEK : MONTH
    if (n > 0 && n < order.length - 1 && kept - at < apart) dropped.push(i)
    else kept = at
  }
  return dropped
}

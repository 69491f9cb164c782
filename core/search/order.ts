import type { KeyOf } from './selectRange'

const DIGITS = 65_536

/**
 * Sorts items by keys of 32 bits, main key first; items equal in all keep their order. Two counting
 * passes a key: a million items by one key take some tens of milliseconds.
 */
export function sortByKeys(items: Uint32Array<ArrayBuffer>, keys: readonly KeyOf[]): Uint32Array<ArrayBuffer> {
  let from = items.slice()
  let to = new Uint32Array(items.length)
  const counts = new Uint32Array(DIGITS)
  const values = new Uint32Array(items.length)
  for (const keyOf of [...keys].reverse()) {
    for (const shift of [0, 16]) {
      counts.fill(0)
      for (let i = 0; i < from.length; i++) counts[((values[i] = keyOf(from[i]!)) >>> shift) & 0xffff]!++
      // All alike in this half: nothing to move.
      if (counts[(values[0]! >>> shift) & 0xffff] === from.length) continue
      let sum = 0
      for (let digit = 0; digit < DIGITS; digit++) {
        const n = counts[digit]!
        counts[digit] = sum
        sum += n
      }
      for (let i = 0; i < from.length; i++) to[counts[(values[i]! >>> shift) & 0xffff]!++] = from[i]!
      ;[from, to] = [to, from]
    }
  }
  return from
}

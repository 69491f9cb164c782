/** Tells the sort key of an item: 0 to 2^32 − 1, ascending. */
export type KeyOf = (item: number) => number

const BUCKETS = 65_536
const histogram = new Uint32Array(BUCKETS)
/** So few items are sorted outright. */
const FEW = 512

/**
 * The items that would stand from `from` up to `to` if all were sorted by several keys, in that
 * order: what a screen shows of half a million rows, without sorting them.
 *
 * Each step counts the items by sixteen bits of a key and keeps only the buckets that reach into the
 * range; items that tie on one key are ordered by the next one. The first step looks at all items
 * twice, the following ones at next to none.
 *
 * @param keys main key first; items equal in all keep the order given.
 */
export function selectRange(items: Uint32Array, keys: readonly KeyOf[], from: number, to: number): Uint32Array {
  const last = Math.min(to, items.length)
  if (from >= last) return new Uint32Array(0)
  const { kept, skipped } = narrow(items, keys, 0, from, last)
  const order = Array.from(kept, (item, i) => ({ item, i, key: keys[0]!(item) }))
  order.sort((a, b) => {
    if (a.key !== b.key) return a.key - b.key
    for (let k = 1; k < keys.length; k++) {
      const difference = keys[k]!(a.item) - keys[k]!(b.item)
      if (difference) return difference
    }
    return a.i - b.i
  })
  return Uint32Array.from(order.slice(from - skipped, last - skipped), each => each.item)
}

interface Narrowed {
  kept: Uint32Array
  skipped: number
}

/** Items of which the range is made, and how many come before them. `level` counts half keys. */
function narrow(items: Uint32Array, keys: readonly KeyOf[], level: number, from: number, to: number): Narrowed {
  const keyOf = keys[level >> 1]
  if (items.length <= FEW + to - from || !keyOf) return { kept: items, skipped: 0 }
  const shift = level & 1 ? 0 : 16
  histogram.fill(0)
  const digits = new Uint16Array(items.length)
  for (let i = 0; i < items.length; i++) histogram[(digits[i] = (keyOf(items[i]!) >>> shift) & 0xffff)]!++
  let before = 0
  let low = 0
  while (before + histogram[low]! <= from) before += histogram[low++]!
  let reach = before
  let high = low
  while (reach + histogram[high]! < to) reach += histogram[high++]!
  const [lowSize, highSize] = [histogram[low]!, histogram[high]!]
  const take = (first: number, end: number, size: number) => {
    const taken = new Uint32Array(size)
    let n = 0
    for (let i = 0; i < items.length; i++) if (digits[i]! >= first && digits[i]! <= end) taken[n++] = items[i]!
    return taken
  }
  if (low === high) {
    const inner = narrow(take(low, low, lowSize), keys, level + 1, from - before, to - before)
    return { kept: inner.kept, skipped: before + inner.skipped }
  }
  const inside = reach - before - lowSize
  const middle = inside ? take(low + 1, high - 1, inside) : new Uint32Array(0)
  const [lowItems, highItems] = [take(low, low, lowSize), take(high, high, highSize)]
  const head = narrow(lowItems, keys, level + 1, from - before, lowSize)
  const tail = narrow(highItems, keys, level + 1, 0, to - reach)
  const kept = new Uint32Array(head.kept.length + middle.length + tail.kept.length)
  kept.set(head.kept)
  kept.set(middle, head.kept.length)
  kept.set(tail.kept, head.kept.length + middle.length)
  return { kept, skipped: before + head.skipped }
}

const floats = new Float32Array(1)
const bits = new Uint32Array(floats.buffer)

/** A float's key: ascending as the floats are, unknown (NaN) last; `falling` turns all but the unknown round. */
export function floatKey(value: number, falling: boolean): number {
  if (Number.isNaN(value)) return 0xffffffff
  // Adding 0 makes −0 the 0 it is equal to.
  floats[0] = value + 0
  const raw = bits[0]!
  const rising = raw & 0x80000000 ? ~raw >>> 0 : (raw | 0x80000000) >>> 0
  return falling ? (~rising - 1) >>> 0 : rising
}

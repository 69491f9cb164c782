import { Bits } from './bits'

/*
 * A column read once from end to end, for a bound nobody has asked for before. Whether a value passes is as good as
 * chance, so that a processor guesses a branch wrong every other time: the answers are worked out by whole numbers alone, without
 * one, thirty-two before they are written. A positive float orders as the whole number its bits make, and what is not a
 * number lies above infinity. A column has room for a multiple of thirty-two values; those past the size do not count.
 */

/** The upper half of an infinite 64-bit float, and a 32-bit one. */
const INFINITE_64 = 0x7ff00000
const INFINITE_32 = 0x7f800000
/** Where the lower and the upper half of a 64-bit float stand among two whole numbers. */
const [LOWER, UPPER] = new Uint8Array(new Uint16Array([1]).buffer)[0] === 1 ? [0, 1] : [1, 0]

/** Numbers whose value, which is never negative, is at least this; an unknown one (NaN) never is. */
export function atLeast(column: Float64Array, least: number, size: number): Bits {
  const bits = new Bits(size)
  const { words } = bits
  const parts = new Int32Array(Float64Array.of(Math.max(0, least)).buffer)
  // The upper half decides alone where the lower one of the bound is nothing, as it is for whole numbers up to two million.
  if (parts[LOWER] !== 0) {
    for (let n = 0; n < size; n++) if (column[n]! >= least) bits.set(n)
    return bits
  }
  const bound = parts[UPPER]!
  const halves = new Int32Array(column.buffer, column.byteOffset, 64 * words.length)
  for (let i = 0, at = UPPER; i < words.length; i++) {
    let word = 0
    for (let bit = 0; bit < 32; bit++, at += 2) {
      const half = halves[at]!
      word |= ((half - bound | INFINITE_64 - half) >>> 31 ^ 1) << bit
    }
    words[i] = word
  }
  return bits.trim()
}

/** Numbers whose value, which is never negative, is not above this; an unknown one is not. */
export function notAbove(column: Float32Array, most: number, size: number): Bits {
  const bits = new Bits(size)
  if (most < 0) return bits
  const { words } = bits
  const bound = new Int32Array(Float32Array.of(most).buffer)[0]!
  const whole = new Int32Array(column.buffer, column.byteOffset, 32 * words.length)
  for (let i = 0, n = 0; i < words.length; i++) {
    let word = 0
    for (let bit = 0; bit < 32; bit++, n++) {
      const value = whole[n]!
      word |= ((bound - value & ~(INFINITE_32 - value)) >>> 31 ^ 1) << bit
    }
    words[i] = word
  }
  return bits.trim()
}

/** Numbers whose value lies between two, both included. */
export function between(column: Uint8Array, least: number, most: number, size: number): Bits {
  const bits = new Bits(size)
  const { words } = bits
  for (let i = 0, n = 0; i < words.length; i++) {
    let word = 0
    for (let bit = 0; bit < 32; bit++, n++) {
      const value = column[n]!
      word |= ((value - least | most - value) >>> 31 ^ 1) << bit
    }
    words[i] = word
  }
  return bits.trim()
}

/** Numbers whose value has one of these bits. */
export function withBit(column: Uint16Array, mask: number, size: number): Bits {
  const bits = new Bits(size)
  const { words } = bits
  for (let i = 0, n = 0; i < words.length; i++) {
    let word = 0
    for (let bit = 0; bit < 32; bit++, n++) word |= (-(column[n]! & mask)) >>> 31 << bit
    words[i] = word
  }
  return bits.trim()
}

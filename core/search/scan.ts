import { Bits } from './bits'

/*
 * A column read once from end to end, for a bound nobody has asked for before. Whether a value passes is as good as
 * chance, so that a processor guesses a branch wrong every other time: the answers are worked out by whole numbers
 * alone, without one, thirty-two before they are written. A positive float orders as the whole number its bits make,
 * and what is not a number lies above infinity. A column has room for a multiple of thirty-two values; those past the
 * size do not count.  Thirty-two are a function of their own: bounds are typed now and then only, and V8 compiles a
 * function well that is called thirty thousand times a scan, but not one whose single call lasts it.
 */

/** An infinite 32-bit float as a whole number. */
const INFINITE_32 = 0x7f800000

/**
 * Steps of a fifth of a doubling, up to some fifty million: where each begins; nothing is on the first, unknown values.
 */
const STEPS = 127
const stepFrom = Float64Array.from({ length: STEPS + 1 }, (_, step) =>
  step ? Math.pow(2, (step - 1) / 5) - 1 : -Infinity,
)

/** The step a value stands on, 1 to 127; 0 for an unknown one. */
export function stepOf(value: number): number {
  if (!(value >= 0)) return 0
  let step = Math.min(STEPS, 1 + Math.floor(5 * Math.log2(1 + value)))
  // A logarithm is rounded; where a step begins is not.
  while (value < stepFrom[step]!) step--
  while (step < STEPS && value >= stepFrom[step + 1]!) step++
  return step
}

/**
 * A bit each for 32 steps, four in a whole number: whether it is at least this. The top bit of each byte is free, so
 * that none borrows from the next.
 */
function onOrAbove(fours: Int32Array, at: number, step: number): number {
  const bound = Math.imul(step, 0x01010101)
  let word = 0
  for (let k = 0; k < 8; k++) {
    const passes = (((fours[at + k]! | 0x80808080) - bound) & 0x80808080) >>> 7
    // The bits of four bytes, moved side by side.
    word |= (Math.imul(passes, 0x10204080) >>> 28) << (4 * k)
  }
  return word
}

/**
 * Numbers whose value, which is never negative, is at least this; an unknown one (NaN) never is.
 * @param steps what `stepOf` says of each value: they decide, and the values only where theirs is the bound's own.
 */
export function atLeast(column: Float64Array, steps: Uint8Array, least: number, size: number): Bits {
  const bits = new Bits(size)
  const { words } = bits
  const step = stepOf(Math.max(0, least))
  const fours = new Int32Array(steps.buffer, steps.byteOffset, 8 * words.length)
  for (let i = 0; i < words.length; i++) {
    let word = onOrAbove(fours, 8 * i, step)
    let near = word && word & ~onOrAbove(fours, 8 * i, step + 1)
    while (near !== 0) {
      const bit = near & -near
      near ^= bit
      if (!(column[32 * i + 31 - Math.clz32(bit)]! >= least)) word ^= bit
    }
    words[i] = word
  }
  return bits.trim()
}

function withinBound(whole: Int32Array, at: number, bound: number): number {
  let word = 0
  for (let bit = 0; bit < 32; bit++) {
    const value = whole[at + bit]!
    word |= ((((bound - value) & ~(INFINITE_32 - value)) >>> 31) ^ 1) << bit
  }
  return word
}

/** Numbers whose value, which is never negative, is not above this; an unknown one is not. */
export function notAbove(column: Float32Array, most: number, size: number): Bits {
  const bits = new Bits(size)
  if (most < 0) return bits
  const { words } = bits
  const bound = new Int32Array(Float32Array.of(most).buffer)[0]!
  const whole = new Int32Array(column.buffer, column.byteOffset, 32 * words.length)
  for (let i = 0; i < words.length; i++) words[i] = withinBound(whole, 32 * i, bound)
  return bits.trim()
}

function inside(column: Uint8Array, at: number, least: number, most: number): number {
  let word = 0
  for (let bit = 0; bit < 32; bit++) {
    const value = column[at + bit]!
    word |= ((((value - least) | (most - value)) >>> 31) ^ 1) << bit
  }
  return word
}

/** Numbers whose value lies between two, both included. */
export function between(column: Uint8Array, least: number, most: number, size: number): Bits {
  const bits = new Bits(size)
  const { words } = bits
  for (let i = 0; i < words.length; i++) words[i] = inside(column, 32 * i, least, most)
  return bits.trim()
}

function meeting(column: Uint16Array, at: number, mask: number): number {
  let word = 0
  for (let bit = 0; bit < 32; bit++) word |= (-(column[at + bit]! & mask) >>> 31) << bit
  return word
}

/** Numbers whose value has one of these bits. */
export function withBit(column: Uint16Array, mask: number, size: number): Bits {
  const bits = new Bits(size)
  const { words } = bits
  for (let i = 0; i < words.length; i++) words[i] = meeting(column, 32 * i, mask)
  return bits.trim()
}

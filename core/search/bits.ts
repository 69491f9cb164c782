/**
 * A set of the numbers below a size, a bit each. Half a million of a million numbers are met with others, or counted,
 * in some tens of microseconds, thirty-two at a time.
 */
export class Bits {
  /** Number n is bit n % 32 of word ⌊n / 32⌋; those past the size are 0. */
  readonly words: Int32Array

  constructor(readonly size: number) {
    this.words = new Int32Array((size + 31) >>> 5)
  }

  /** Drops what was written past the size. */
  trim(): this {
    if (this.size & 31) this.words[this.words.length - 1]! &= (1 << (this.size & 31)) - 1
    return this
  }

  /** Sets the bits of some numbers. */
  add(numbers: Uint32Array): this {
    const { words } = this
    const { length } = numbers
    for (let i = 0; i < length; i++) {
      const n = numbers[i]!
      words[n >>> 5]! |= 1 << (n & 31)
    }
    return this
  }

  set(n: number): void {
    this.words[n >>> 5]! |= 1 << (n & 31)
  }
  clear(n: number): void {
    this.words[n >>> 5]! &= ~(1 << (n & 31))
  }
  has(n: number): boolean {
    return ((this.words[n >>> 5]! >>> (n & 31)) & 1) === 1
  }

  copy(): Bits {
    const copy = new Bits(this.size)
    copy.words.set(this.words)
    return copy
  }

  /** Keeps what another set of the same size holds too. */
  and(other: Bits): this {
    for (let i = 0; i < this.words.length; i++) this.words[i]! &= other.words[i]!
    return this
  }

  /** Drops what another set of the same size holds. */
  without(other: Bits): this {
    for (let i = 0; i < this.words.length; i++) this.words[i]! &= ~other.words[i]!
    return this
  }

  or(other: Bits): this {
    for (let i = 0; i < this.words.length; i++) this.words[i]! |= other.words[i]!
    return this
  }

  /** How many there are. */
  count(): number {
    let sum = 0
    const { words } = this
    const { length } = words
    for (let i = 0; i < length; i++) {
      let w = words[i]!
      w -= (w >>> 1) & 0x55555555
      w = (w & 0x33333333) + ((w >>> 2) & 0x33333333)
      sum += Math.imul((w + (w >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24
    }
    return sum
  }

  /** The first ones, ascending, or the last ones, descending; up to so many. */
  list(most: number, falling = false): Uint32Array {
    const found = new Uint32Array(Math.min(most, this.size))
    let k = 0
    for (let step = 0; step < this.words.length && k < found.length; step++) {
      const at = falling ? this.words.length - 1 - step : step
      let w = this.words[at]!
      while (w !== 0 && k < found.length) {
        const bit = falling ? 31 - Math.clz32(w) : 31 - Math.clz32(w & -w)
        found[k++] = at * 32 + bit
        w &= ~(1 << bit)
      }
    }
    return found.subarray(0, k)
  }

  /** Those of some numbers that are not in the set, in their order. */
  missing(numbers: Uint32Array): Uint32Array {
    const found = new Uint32Array(numbers.length)
    const { length } = numbers
    let k = 0
    for (let i = 0; i < length; i++) if (!this.has(numbers[i]!)) found[k++] = numbers[i]!
    return found.subarray(0, k)
  }

  /** The first of a list that are in the set, up to so many, of those within so many steps. */
  firstOf(numbers: Uint32Array, most: number, steps = numbers.length): Uint32Array {
    const { words } = this
    const found = new Uint32Array(Math.min(most, numbers.length))
    const end = Math.min(steps, numbers.length)
    let k = 0
    for (let i = 0; i < end && k < found.length; i++) {
      const n = numbers[i]!
      if ((words[n >>> 5]! >>> (n & 31)) & 1) found[k++] = n
    }
    return found.subarray(0, k)
  }
}

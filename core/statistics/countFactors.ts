/// <reference path="./jstat.d.ts" />
import { randomBinomial, randomGamma } from 'd3-random'
import jStat from 'jstat'

/** A part of what a unit was exposed to, by the two traits that its rate depends on. */
export interface Exposure {
  unit: number
  first: number
  second: number
  /** Above 0. */
  amount: number
}
/** One set of values that the counts allow, as likely as any other that is drawn. */
export interface FactorDraw {
  /** How often the thing happens for each 1 of exposure, usually. */
  usual: number
  /** By how much each value of a trait departs from it; 1 is not at all. */
  first: Float64Array
  second: Float64Array
}

/** Rounds that find the region of likely values, rounds used, and every which of them is kept. */
const SETTLING = 200
const ROUNDS = 1000
const EVERY = 4
/** How alike the values of a trait may be: shapes of the gamma distribution of mean 1 that they come from. */
const SHAPES = [1, 1.5, 2, 3, 4, 8, 16, 32, 64]
const { exp, log, max, min } = Math

/**
 * Draws what rates may be, given how often something happened to each unit.
 *
 * The count of a unit is Poisson with mean e · Σ amount · usual · f(first) · s(second). The factors f and s of the two
 * traits and e of each unit come from gamma distributions of mean 1, whose shapes are learnt too: what little exposure
 * speaks of is drawn towards the usual rate, and units that differ by more than chance widen every interval. Gibbs
 * sampling; every step is exact, since a gamma distribution stays one when counts are added.
 * @param counts whole, by unit. @param sizes how many values each trait has. @param random a seeded source.
 * @yields after each round, so that others have their turn.
 */
export function* countFactors(
  counts: readonly number[],
  exposures: readonly Exposure[],
  sizes: { first: number; second: number },
  random: () => number,
): Generator<undefined, FactorDraw[]> {
  const gammaOf = randomGamma.source(random)
  const gamma = (shape: number, rate: number) => max(1e-9, gammaOf(shape, 1 / rate)())
  const e = new Trait(counts.length, gamma, random)
  const f = new Trait(sizes.first, gamma, random)
  const s = new Trait(sizes.second, gamma, random)
  // Those of a unit stand side by side.
  const list = [...exposures].sort((a, b) => a.unit - b.unit)
  const starts = Uint32Array.from({ length: counts.length + 1 }, () => list.length)
  for (let i = list.length - 1; i >= 0; i--) starts[list[i]!.unit] = i
  for (let unit = counts.length - 1; unit >= 0; unit--) starts[unit] = min(starts[unit]!, starts[unit + 1]!)
  const shares = new Float64Array(list.length)
  const came = new Float64Array(list.length)
  const all = counts.reduce((sum, count) => sum + count, 0)
  let usual = (all + 0.5) / list.reduce((sum, { amount }) => sum + amount, 0)
  const draws: FactorDraw[] = []
  for (let round = 0; round < SETTLING + ROUNDS; round++) {
    f.clear()
    s.clear()
    e.clear()
    for (const [i, { unit, first, second, amount }] of list.entries()) {
      shares[i] = amount * f.value[first]! * s.value[second]!
      e.exposure[unit]! += usual * shares[i]!
    }
    // Which of its exposures each count came by.
    for (let unit = 0; unit < counts.length; unit++) {
      e.happened[unit] = counts[unit]!
      splitCount(counts[unit]!, shares, came, starts[unit]!, starts[unit + 1]!, random)
    }
    for (const [i, { first, second }] of list.entries()) {
      f.happened[first]! += came[i]!
      s.happened[second]! += came[i]!
    }
    e.draw()
    let exposed = 0
    for (let unit = 0; unit < counts.length; unit++) exposed += (e.exposure[unit]! / usual) * e.value[unit]!
    usual = gamma(all + 0.5, exposed)
    for (const { unit, first, second, amount } of list)
      f.exposure[first]! += amount * usual * e.value[unit]! * s.value[second]!
    f.draw()
    for (const { unit, first, second, amount } of list)
      s.exposure[second]! += amount * usual * e.value[unit]! * f.value[first]!
    s.draw()
    if (round >= SETTLING && (round - SETTLING) % EVERY === 0)
      draws.push({ usual, first: f.value.slice(), second: s.value.slice() })
    yield
  }
  return draws
}

/** The values of one trait, with how alike they are. */
class Trait {
  readonly value: Float64Array
  readonly happened: Float64Array
  readonly exposure: Float64Array
  private shape = 4

  constructor(
    size: number,
    private readonly gamma: (shape: number, rate: number) => number,
    private readonly random: () => number,
  ) {
    this.value = new Float64Array(size).fill(1)
    this.happened = new Float64Array(size)
    this.exposure = new Float64Array(size)
  }

  clear(): void {
    this.happened.fill(0)
    this.exposure.fill(0)
  }

  /** A single value departs from nothing: it stays 1. */
  draw(): void {
    const { value, happened, exposure, shape } = this
    if (value.length < 2) return
    for (let i = 0; i < value.length; i++) value[i] = this.gamma(shape + happened[i]!, shape + exposure[i]!)
    let [total, logs] = [0, 0]
    for (const each of value) {
      total += each
      logs += log(each)
    }
    const odds = SHAPES.map(
      each => value.length * (each * log(each) - jStat.gammaln(each)) + (each - 1) * logs - each * total,
    )
    const best = max(...odds)
    const likely = odds.map(each => exp(each - best))
    const sum = likely.reduce((all, each) => all + each, 0)
    this.shape = SHAPES[drawn(likely, sum, 0, likely.length, this.random)]!
  }
}

/** The place of one of some shares from `from` to before `to`, drawn by how large they are. */
function drawn(shares: ArrayLike<number>, sum: number, from: number, to: number, random: () => number): number {
  let left = random() * sum
  for (let i = from; i < to - 1; i++) {
    left -= shares[i]!
    if (left < 0) return i
  }
  return to - 1
}

/** So few are drawn one by one. */
const FEW = 40

/**
 * Divides a whole count by lot among the shares from `from` to before `to`, of any sum: multinomial.
 * @param parts is given a count for each of these shares, which add up to it.
 */
export function splitCount(
  count: number,
  shares: ArrayLike<number>,
  parts: Float64Array,
  from: number,
  to: number,
  random: () => number,
): void {
  if (from >= to) return
  parts.fill(0, from, to)
  if (to - from === 1) parts[from] = count
  if (to - from === 1 || !count) return
  let sum = 0
  for (let i = from; i < to; i++) sum += shares[i]!
  if (count <= FEW) {
    for (let n = 0; n < count; n++) parts[drawn(shares, sum, from, to, random)]!++
    return
  }
  const binomialOf = randomBinomial.source(random)
  let left = count
  for (let i = from; i < to - 1 && left > 0; i++) {
    parts[i] = sum > 0 ? binomialOf(left, min(1, shares[i]! / sum))() : 0
    left -= parts[i]!
    sum -= shares[i]!
  }
  parts[to - 1]! += left
}

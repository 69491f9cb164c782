import { minimise } from '../statistics/minimise'
import { TRAITS } from './bars'

/** How a video's worth over the bar becomes a chance: logit = offset + slope × gap + traits of the page. */
export interface Calibration {
  offset: number
  slope: number
  /** One for each of `TRAITS`. */
  traits: number[]
}

/** A video as if it were new, before a page that was not learnt from, and what came of it. */
export interface Tried {
  /** Its worth over the bar, with what its channel lets expect of its views. */
  gap: number
  /** How far its worth may be off: its views are not known beforehand. */
  spread: number
  traits: Float64Array
  won: boolean
}

/** Where nobody has tried yet: the middle of what came out on made-up sites of many kinds. */
export const USUAL_CALIBRATION: Calibration = { offset: -0.5, slope: 0.95, traits: [1.4, 0.15, 0.15, -0.2, -0.2, 0.15] }
/** How sure that is: one over a variance. */
const PENALTY = 4
/** What is less likely than this is not counted on when something goes otherwise. */
const LEAST = 1e-6

// Looked up once; see core/random.
const { exp, log } = Math

/** Nodes for the mean over a normal distribution: the trapezoid on ±3. */
const NODES = Float64Array.from({ length: 9 }, (_, i) => (i - 4) * 0.75)
const SHARES = (() => {
  const raw = NODES.map(z => exp((-z * z) / 2))
  const sum = raw.reduce((a, b) => a + b, 0)
  return raw.map(each => each / sum)
})()

const sigmoid = (value: number) => 1 / (1 + exp(-value))

/** The mean of a logistic chance over a normal spread of its logit. */
export function meanChance(logit: number, spread: number): number {
  if (logit === Infinity || logit === -Infinity) return logit > 0 ? 1 : 0
  let chance = 0
  for (let i = 0; i < NODES.length; i++) chance += SHARES[i]! * sigmoid(logit + spread * NODES[i]!)
  return chance
}

/** What the page adds to the logit. */
export function pageLogit({ offset, traits: weights }: Calibration, traits: ArrayLike<number>): number {
  let sum = offset
  for (let i = 0; i < weights.length; i++) sum += weights[i]! * traits[i]!
  return sum
}

export const calibratedChance = (how: Calibration, { gap, spread, traits }: Omit<Tried, 'won'>) =>
  meanChance(pageLogit(how, traits) + how.slope * gap, how.slope * spread)

/** Fits a calibration to what was tried, drawn towards the usual one (penalised likelihood). */
export function calibrate(tried: readonly Tried[]): Calibration {
  const { offset, slope, traits } = USUAL_CALIBRATION
  const expected = [offset, slope, ...traits]
  const at = Float64Array.from(expected)
  minimise((point, down) => {
    let loss = 0
    for (let i = 0; i < point.length; i++) {
      const away = point[i]! - expected[i]!
      loss += (PENALTY / 2) * away * away
      down[i] = PENALTY * away
    }
    for (const each of tried) {
      let base = point[0]!
      for (let i = 0; i < TRAITS.length; i++) base += point[2 + i]! * each.traits[i]!
      let [chance, byBase, byGap] = [0, 0, 0]
      for (let i = 0; i < NODES.length; i++) {
        const gap = each.gap + NODES[i]! * each.spread
        const p = sigmoid(base + point[1]! * gap)
        chance += SHARES[i]! * p
        byBase += SHARES[i]! * p * (1 - p)
        byGap += SHARES[i]! * p * (1 - p) * gap
      }
      const came = Math.min(1, Math.max(LEAST, each.won ? chance : 1 - chance))
      loss -= log(came)
      const press = (each.won ? -1 : 1) / came
      down[0]! += press * byBase
      down[1]! += press * byGap
      for (let i = 0; i < TRAITS.length; i++) down[2 + i]! += press * byBase * each.traits[i]!
    }
    return loss
  }, at)
  return { offset: at[0]!, slope: Math.max(0.05, at[1]!), traits: [...at.subarray(2)] }
}

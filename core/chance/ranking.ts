import { PART_WEIGHT, PULL_DECADES, REACH_DECADES, STRENGTH_WEIGHTS } from '../rivals/strength'
import { SIGNAL, SIGNALS } from './signals'

/** Results of a page in their order, and known videos that hold words of the phrase and do not stand on it. */
export interface RankedPage {
  /** The first of its items; those shown come first, by rank. */
  from: number
  shown: number
  /** One past its last item. */
  to: number
}

/** Items of all pages, one after the other. */
export interface RankedItems {
  /** `SIGNALS.length` numbers for each. */
  signals: Float64Array
  /** Numbers of channel and video. */
  channel: Int32Array
  video: Int32Array
  /** How many videos one stands for that was drawn from many; 1 for those shown. */
  stands: Float64Array
  channels: number
  videos: number
}

/** What decides the order: the weights of the signals, and what a channel and a video have beyond them. */
export interface OrderWeights {
  signals: Float64Array
  channels: Float64Array
  videos: Float64Array
}

const WIDTH = SIGNALS.length
/** A difference of strength of this much decides e to 1, before anything is learnt. */
const DECIDES = 0.12
/** How sure the constants are, and that channels and videos are alike: one over a variance. */
export const PENALTY = { signal: 1, channel: 4, video: 4 }

/** Today's constants as weights of signals: those of `strength`, and nothing for what it does not look at. */
export const CONSTANT_WEIGHTS: Readonly<Float64Array> = (() => {
  const weights = new Float64Array(WIDTH)
  const { targeting, reach, pull } = STRENGTH_WEIGHTS
  weights[SIGNAL.title] = (targeting * PART_WEIGHT.title) / DECIDES
  weights[SIGNAL.firstLine] = (targeting * PART_WEIGHT.firstLine) / DECIDES
  weights[SIGNAL.tag] = (targeting * PART_WEIGHT.tag) / DECIDES
  weights[SIGNAL.reach] = reach / REACH_DECADES / DECIDES
  weights[SIGNAL.pull] = pull / PULL_DECADES / DECIDES
  return weights
})()

/** The worth of an item by its signals alone. */
export function signalWorth(weights: Readonly<Float64Array>, signals: Float64Array, item = 0): number {
  let sum = 0
  for (let i = 0, at = item * WIDTH; i < WIDTH; i++) sum += weights[i]! * signals[at + i]!
  return sum
}

/**
 * The worths of a page's items.
 *
 * @param point weights of the signals, then what channels, then what videos have beyond them.
 * @param worths takes them, an item each.
 * @returns the greatest.
 */
export function worthsOf(
  { signals, channel, video, channels }: RankedItems,
  { from, to }: RankedPage,
  point: Readonly<Float64Array>,
  worths: Float64Array,
): number {
  let best = -Infinity
  for (let item = from; item < to; item++) {
    const own = point[WIDTH + channel[item]!]! + point[WIDTH + channels + video[item]!]!
    const worth = (worths[item - from] = own + signalWorth(point, signals, item))
    if (worth > best) best = worth
  }
  return best
}

import { PART_WEIGHT, PULL_DECADES, REACH_DECADES, STRENGTH_WEIGHTS } from '../rivals/strength'
import { minimise } from '../statistics/minimise'
import { inverse } from '../statistics/solve'
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
// Looked up once; see core/random.
const { exp, log, sqrt } = Math
/** A difference of strength of this much decides e to 1, before anything is learnt. */
const DECIDES = 0.12
/** How sure the constants are, and that channels and videos are alike: one over a variance. */
const PENALTY = { signal: 1, channel: 2, video: 1 }

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
 * Learns what decides the order on pages: the weights under which the orders seen are most likely, when the next seat
 * always goes to one of those left in proportion to e^worth (Plackett 1975, Luce 1959), less a penalty for leaving the
 * constants. What was passed over takes part in every choice and gets no seat: without it, whatever helped to come on
 * the page at all would look useless on it.
 */
export function learnOrder(items: RankedItems, pages: readonly RankedPage[]): OrderWeights {
  const { channels, videos } = items
  const at = new Float64Array(WIDTH + channels + videos)
  at.set(CONSTANT_WEIGHTS)
  const longest = pages.reduce((most, { from, to }) => Math.max(most, to - from), 0)
  const odds = new Float64Array(longest)
  minimise((point, slope) => {
    slope.fill(0)
    let loss = penalties(point, slope, channels)
    for (const page of pages) loss += pageLoss(items, page, point, slope, odds)
    return loss
  }, at)
  return {
    signals: at.slice(0, WIDTH),
    channels: at.slice(WIDTH, WIDTH + channels),
    videos: at.slice(WIDTH + channels),
  }
}

function penalties(point: Float64Array, slope: Float64Array, channels: number): number {
  let loss = 0
  for (let i = 0; i < point.length; i++) {
    const penalty = i < WIDTH ? PENALTY.signal : i < WIDTH + channels ? PENALTY.channel : PENALTY.video
    const away = point[i]! - (i < WIDTH ? CONSTANT_WEIGHTS[i]! : 0)
    loss += (penalty / 2) * away * away
    slope[i] = penalty * away
  }
  return loss
}

/** A page's part of the loss, whose slope is added. @param odds room for a number for each item. */
function pageLoss(
  items: RankedItems,
  { from, shown, to }: RankedPage,
  point: Float64Array,
  slope: Float64Array,
  odds: Float64Array,
): number {
  const { signals, channel, video, stands, channels } = items
  const size = to - from
  let best = -Infinity
  for (let i = 0; i < size; i++) {
    const item = from + i
    let worth = point[WIDTH + channel[item]!]! + point[WIDTH + channels + video[item]!]!
    for (let k = 0, s = item * WIDTH; k < WIDTH; k++) worth += point[k]! * signals[s + k]!
    odds[i] = worth
    if (worth > best) best = worth
  }
  let loss = 0
  let left = 0
  for (let i = size - 1; i >= shown; i--) left += odds[i] = stands[from + i]! * exp(odds[i]! - best)
  const remaining = new Float64Array(shown)
  for (let i = shown - 1; i >= 0; i--) {
    loss -= odds[i]! - best
    left += odds[i] = exp(odds[i]! - best)
    remaining[i] = left
  }
  // What an item's odds add to all choices in which it was still there.
  let choices = 0
  for (let i = 0; i < size; i++) {
    if (i < shown) {
      choices += 1 / remaining[i]!
      loss += log(remaining[i]!)
    }
    const pressed = odds[i]! * choices - (i < shown ? 1 : 0)
    const item = from + i
    slope[WIDTH + channel[item]!]! += pressed
    slope[WIDTH + channels + video[item]!]! += pressed
    for (let k = 0, s = item * WIDTH; k < WIDTH; k++) slope[k]! += pressed * signals[s + k]!
  }
  return loss
}

/**
 * How sure each weight of a signal is: its standard error, from the curvature of the loss. What channels and videos
 * have beyond their signals is unknown too and may be taken for a signal's doing: the part of the curvature that they
 * could explain is taken off (a Schur complement, with each channel and video by itself).
 */
export function weightErrors(items: RankedItems, pages: readonly RankedPage[], order: OrderWeights): Float64Array {
  const { channels, videos } = items
  const curve = Array.from({ length: WIDTH }, (_, i) => {
    const row = new Float64Array(WIDTH)
    row[i] = PENALTY.signal
    return row
  })
  // Of each channel and video its own curvature, and that which it shares with the signals.
  const own = new Float64Array(channels + videos).fill(PENALTY.video).fill(PENALTY.channel, 0, channels)
  const shared = new Float64Array((channels + videos) * WIDTH)
  for (const page of pages) pageCurvature(items, page, order, curve, own, shared)
  for (let each = 0; each < own.length; each++) {
    const at = each * WIDTH
    for (let i = 0; i < WIDTH; i++)
      for (let j = 0; j < WIDTH; j++) curve[i]![j]! -= (shared[at + i]! * shared[at + j]!) / own[each]!
  }
  return Float64Array.from(inverse(curve), (row, i) => sqrt(Math.max(0, row[i]!)))
}

function pageCurvature(
  items: RankedItems,
  { from, shown, to }: RankedPage,
  order: OrderWeights,
  curve: readonly Float64Array[],
  own: Float64Array,
  shared: Float64Array,
): void {
  const { signals, channel, video, stands, channels } = items
  const mean = new Float64Array(WIDTH)
  const square = new Float64Array(WIDTH * WIDTH)
  const odds = new Float64Array(to - from)
  const left = new Float64Array(shown)
  const means: Float64Array[] = []
  let sum = 0
  // Backwards: at each choice, those left and their mean signals.
  for (let item = to - 1; item >= from; item--) {
    const worth =
      signalWorth(order.signals, signals, item) + order.channels[channel[item]!]! + order.videos[video[item]!]!
    const mine = (odds[item - from] = stands[item]! * exp(worth))
    sum += mine
    const at = item * WIDTH
    for (let i = 0; i < WIDTH; i++) {
      mean[i]! += mine * signals[at + i]!
      for (let j = 0; j <= i; j++) square[i * WIDTH + j]! += mine * signals[at + i]! * signals[at + j]!
    }
    if (item >= from + shown) continue
    left[item - from] = sum
    means[item - from] = mean.map(each => each / sum)
    for (let i = 0; i < WIDTH; i++)
      for (let j = 0; j <= i; j++) {
        const bent = square[i * WIDTH + j]! / sum - (mean[i]! / sum) * (mean[j]! / sum)
        curve[i]![j]! += bent
        if (i !== j) curve[j]![i]! += bent
      }
  }
  // Forwards: what each took part in.
  let [choices, squares] = [0, 0]
  const met = new Float64Array(WIDTH)
  for (let item = from; item < to; item++) {
    const n = item - from
    if (n < shown) {
      choices += 1 / left[n]!
      squares += 1 / left[n]! ** 2
      for (let i = 0; i < WIDTH; i++) met[i]! += means[n]![i]! / left[n]!
    }
    const bent = odds[n]! * choices - odds[n]! ** 2 * squares
    for (const each of [channel[item]!, channels + video[item]!]) {
      own[each]! += bent
      const at = each * WIDTH
      for (let i = 0; i < WIDTH; i++) shared[at + i]! += odds[n]! * (signals[item * WIDTH + i]! * choices - met[i]!)
    }
  }
}

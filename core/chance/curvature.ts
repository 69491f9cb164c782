import { inverse } from '../statistics/solve'
import { PENALTY, signalWorth, type OrderWeights, type RankedItems, type RankedPage, worthsOf } from './ranking'
import { SIGNALS } from './signals'

const WIDTH = SIGNALS.length
// Looked up once; see core/random.
const { exp, max, sqrt } = Math

/** Worths further below the best are taken as this far below, so that their squares do not vanish. */
const FARTHEST = -300

/** What the penalties alone bend the loss along each weight: signals, channels, videos. */
function penaltyCurvature({ channels, videos }: RankedItems): Float64Array {
  return new Float64Array(WIDTH + channels + videos)
    .fill(PENALTY.video)
    .fill(PENALTY.channel, WIDTH, WIDTH + channels)
    .fill(PENALTY.signal, 0, WIDTH)
}

/**
 * How much the loss of `learnOrder` bends along each weight by itself: the diagonal of its curvature. Weights differ in
 * it by some thousands: a signal takes part on every page, most videos on one.
 *
 * @param point the weights, as `learnOrder` orders them.
 */
export function ownCurvature(items: RankedItems, pages: readonly RankedPage[], point: Float64Array): Float64Array {
  const curve = penaltyCurvature(items)
  const longest = pages.reduce((most, { from, to }) => max(most, to - from), 0)
  const odds = new Float64Array(longest)
  for (const page of pages) addOwnCurvature(items, page, point, curve, odds)
  return curve
}

/** Adds a page's part. @param odds room for a number for each item. */
function addOwnCurvature(
  items: RankedItems,
  page: RankedPage,
  point: Float64Array,
  curve: Float64Array,
  odds: Float64Array,
): void {
  const { signals, channel, video, stands, channels } = items
  const { from, shown, to } = page
  const size = to - from
  const best = worthsOf(items, page, point, odds)
  const mean = new Float64Array(WIDTH)
  const square = new Float64Array(WIDTH)
  const left = new Float64Array(shown)
  let sum = 0
  // Backwards: at each choice, how far the signals of those left spread.
  for (let i = size - 1; i >= 0; i--) {
    const mine = (odds[i] = stands[from + i]! * exp(max(FARTHEST, odds[i]! - best)))
    sum += mine
    for (let k = 0, s = (from + i) * WIDTH; k < WIDTH; k++) {
      const signal = signals[s + k]!
      mean[k]! += mine * signal
      square[k]! += mine * signal * signal
    }
    if (i >= shown) continue
    left[i] = sum
    for (let k = 0; k < WIDTH; k++) curve[k]! += max(0, square[k]! / sum - (mean[k]! / sum) ** 2)
  }
  // Forwards: the choices in which each item was still there.
  let [choices, squares] = [0, 0]
  for (let i = 0; i < size; i++) {
    if (i < shown) {
      choices += 1 / left[i]!
      squares += 1 / left[i]! ** 2
    }
    const bent = max(0, odds[i]! * choices - odds[i]! ** 2 * squares)
    curve[WIDTH + channel[from + i]!]! += bent
    curve[WIDTH + channels + video[from + i]!]! += bent
  }
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
  return Float64Array.from(inverse(curve), (row, i) => sqrt(max(0, row[i]!)))
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

import { minimise } from '../statistics/minimise'
import { ownCurvature } from './curvature'
import { CONSTANT_WEIGHTS, PENALTY, type OrderWeights, type RankedItems, type RankedPage, worthsOf } from './ranking'
import { SIGNALS } from './signals'

const WIDTH = SIGNALS.length
// Looked up once; see core/random.
const { exp, log } = Math

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
  minimise(
    (point, slope) => {
      slope.fill(0)
      let loss = penalties(point, slope, channels)
      for (const page of pages) loss += pageLoss(items, page, point, slope, odds)
      return loss
    },
    at,
    { curvatureAt: point => ownCurvature(items, pages, point) },
  )
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
  page: RankedPage,
  point: Float64Array,
  slope: Float64Array,
  odds: Float64Array,
): number {
  const { signals, channel, video, stands, channels } = items
  const { from, shown, to } = page
  const size = to - from
  const best = worthsOf(items, page, point, odds)
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

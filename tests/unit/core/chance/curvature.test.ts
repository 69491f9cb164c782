import { ownCurvature, weightErrors } from '../../../../core/chance/curvature'
import { learnOrder } from '../../../../core/chance/likelihood'
import { PENALTY, type RankedItems } from '../../../../core/chance/ranking'
import { SIGNAL, SIGNALS } from '../../../../core/chance/signals'

const WIDTH = SIGNALS.length

/** Pages of two videos, the first of which holds the phrase in its title; each of a channel of its own. */
function pairs(count: number): { items: RankedItems; pages: { from: number; shown: number; to: number }[] } {
  const signals = new Float64Array(2 * count * WIDTH)
  for (let page = 0; page < count; page++) signals[2 * page * WIDTH + SIGNAL.title] = 1
  const numbers = Int32Array.from({ length: 2 * count }, (_, i) => i)
  return {
    items: {
      signals,
      channel: numbers,
      video: numbers,
      stands: new Float64Array(2 * count).fill(1),
      channels: 2 * count,
      videos: 2 * count,
    },
    pages: Array.from({ length: count }, (_, page) => ({ from: 2 * page, shown: 2, to: 2 * page + 2 })),
  }
}

describe('how much the loss bends along each weight', () => {
  test('two alike in worth: p (1 - p) for each, and for a signal in which they differ by 1, on every page', () => {
    const { items, pages } = pairs(3)
    const curve = ownCurvature(items, pages, new Float64Array(WIDTH + 12))
    expect(curve[SIGNAL.title]).toBeCloseTo(PENALTY.signal + 3 / 4, 12)
    expect(curve[SIGNAL.pull]).toBeCloseTo(PENALTY.signal, 12)
    expect(curve[WIDTH]).toBeCloseTo(PENALTY.channel + 1 / 4, 12)
    expect(curve[WIDTH + 6]).toBeCloseTo(PENALTY.video + 1 / 4, 12)
  })

  test('one drawn for many that were passed over counts as so many', () => {
    const { items, pages } = pairs(1)
    items.stands[1] = 3
    const [page] = pages
    const curve = ownCurvature(items, [{ ...page!, shown: 1 }], new Float64Array(WIDTH + 4))
    // The one shown was taken with a chance of 1 in 4.
    expect(curve[WIDTH]).toBeCloseTo(PENALTY.channel + 3 / 16, 12)
    expect(curve[SIGNAL.title]).toBeCloseTo(PENALTY.signal + 3 / 16, 12)
  })

  test('a worth too great for e to its power bends nothing, and is a number', () => {
    const { items, pages } = pairs(1)
    const point = new Float64Array(WIDTH + 4)
    point[WIDTH] = 2000
    expect([...ownCurvature(items, pages, point)].every(Number.isFinite)).toBe(true)
    expect(ownCurvature(items, pages, point)[WIDTH]).toBeCloseTo(PENALTY.channel, 12)
  })
})

describe('the weights learnt', () => {
  test('are where the loss is least: what the pages press for is what the penalty takes back', () => {
    const { items, pages } = pairs(40)
    const order = learnOrder(items, pages)
    const worth = (item: number) =>
      order.signals[SIGNAL.title]! * items.signals[item * WIDTH + SIGNAL.title]! +
      order.channels[item]! +
      order.videos[item]!
    for (const { from } of pages) {
      const missed = 1 / (1 + Math.exp(worth(from) - worth(from + 1)))
      expect(PENALTY.channel * order.channels[from]!).toBeCloseTo(missed, 2)
      expect(PENALTY.video * order.videos[from]!).toBeCloseTo(missed, 2)
    }
    const errors = weightErrors(items, pages, order)
    expect(errors[SIGNAL.title]).toBeLessThan(errors[SIGNAL.pull]!)
  })
})

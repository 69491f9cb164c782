import { rewordedViews } from '../../../../core/ranks/reworded'
import { learntRanks } from '../../../../core/chance/model'
import { forecast } from '../../../../core/rivals/forecast'
import { SHARES } from '../../../../core/rivals/winnings'
import { seeded } from '../../../../core/random'

/** Half of the searches look at the first rank, a third at the second, a tenth at the third. */
const FEW = [0.5, 0.3, 0.1]

test('by hand: the same luck with other words', () => {
  // As worded: first with .2, second with .3, behind both with .5; reworded .6, .3 and .1.
  const [before, after] = [
    [0.2, 0.3, 0.5],
    [0.6, 0.3, 0.1],
  ]
  // Of all luck: .2 stay first, .3 go from second to first, .1 from third to first, .3 from third to second, .1 stay.
  const { expected, low, high } = rewordedViews(before, after, 1000, FEW, null)
  expect(expected).toBeCloseTo(1000 * (0.3 * 0.2 + 0.1 * 0.4 + 0.3 * 0.2), 9)
  expect([low, high]).toEqual([0, expect.closeTo(400, 9)])
  // Seen third: a fifth of that luck becomes first, three fifths second, a fifth stays.
  const seen = rewordedViews(before, after, 1000, FEW, { rank: 3, depth: 60 })
  expect(seen.expected).toBeCloseTo(1000 * (0.2 * 0.4 + 0.6 * 0.2), 9)
  expect(seen.low).toBe(0)
  expect(seen.high).toBeCloseTo(400, 9)
  // First already: nothing to win.
  expect(rewordedViews(before, after, 1000, FEW, { rank: 1, depth: 60 })).toEqual({ expected: 0, low: 0, high: 0 })
})

test('the same words bring nothing, wherever it stands; worse ones cost', () => {
  const ranks = forecast(
    0.5,
    Array.from({ length: 20 }, (_, i) => 0.7 - i / 50),
    true,
  )!.ranks
  for (const seen of [null, { rank: 1, depth: 60 }, { rank: 17, depth: 60 }, { rank: null, depth: 60 }]) {
    const { expected, low, high } = rewordedViews(ranks, ranks, 5000, SHARES, seen)
    for (const each of [expected, low, high]) expect(each).toBeCloseTo(0, 6)
  }
  const worse = forecast(
    0.4,
    Array.from({ length: 20 }, (_, i) => 0.7 - i / 50),
    true,
  )!.ranks
  expect(rewordedViews(ranks, worse, 5000, SHARES, null).expected).toBeLessThan(0)
})

test('ranks thought impossible, beyond what was read, and pages that became shorter give a figure all the same', () => {
  const before = [0, 0, 0.4, 0.6]
  const after = [0.1, 0.5, 0.3, 0.1]
  for (const seen of [
    { rank: 1, depth: 60 },
    { rank: 50, depth: 60 },
    { rank: null, depth: 2 },
    { rank: null, depth: 60 },
  ]) {
    const { expected, low, high } = rewordedViews(before, after, 100, FEW, seen)
    for (const each of [expected, low, high]) expect(Number.isFinite(each)).toBe(true)
    expect(low).toBeLessThanOrEqual(high)
  }
  expect(rewordedViews([1], [1], 1e6, SHARES, null)).toEqual({ expected: 0, low: 0, high: 0 })
  expect(rewordedViews([], [], 1e6, SHARES, null)).toEqual({ expected: 0, low: 0, high: 0 })
})

test('a rank far down is known roughly, and what better words bring it as well', () => {
  const pages = Array.from({ length: 60 }, (_, i) => 0.9 - i / 100)
  const [before, after] = [0.45, 0.7].map(strength => forecast(strength, pages, true)!.ranks) as [
    Float64Array,
    Float64Array,
  ]
  const { expected, low, high } = rewordedViews(before, after, 5000, SHARES, { rank: 56, depth: 60 })
  expect(high - low).toBeGreaterThan(0.05 * expected)
  expect(expected).toBeGreaterThan(0)
  // A rank of the first ten is taken as it is.
  const near = rewordedViews(before, before, 5000, SHARES, { rank: 9, depth: 60 })
  expect([near.low, near.high]).toEqual([0, 0])
})

test('against worlds that follow the learnt rule: right in the mean, and held nine times in ten', () => {
  const random = seeded(31)
  const luck = () => random() + random() + random() + random() + random() + random() - 3
  const hurdles = { full: 0, ranks: Float64Array.from({ length: 40 }, (_, i) => 3 - 2 * Math.log(i + 1)), wording: 1.5 }
  const own = { value: -0.5, spread: Math.SQRT1_2 }
  const [before, after] = [learntRanks(own, hurdles, 0), learntRanks(own, hurdles, hurdles.wording)]
  const rankOf = (value: number) => {
    const at = hurdles.ranks.findIndex(hurdle => value > hurdle)
    return (at < 0 ? hurdles.ranks.length : at) + 1
  }
  let [came, told, held] = [0, 0, 0]
  const worlds = 4000
  for (let i = 0; i < worlds; i++) {
    const noise = random()
    const value = own.value + own.spread * luck() * Math.SQRT2 - Math.log(noise / (1 - noise))
    const rank = rankOf(value)
    const gain = 100 * ((SHARES[rankOf(value + hurdles.wording) - 1] ?? 0) - (SHARES[rank - 1] ?? 0))
    const found = rewordedViews(before, after, 100, SHARES, { rank, depth: 60 })
    came += gain
    told += found.expected
    if (gain >= found.low - 1e-9 && gain <= found.high + 1e-9) held++
  }
  expect(told / came).toBeGreaterThan(0.93)
  expect(told / came).toBeLessThan(1.07)
  expect(held / worlds).toBeGreaterThan(0.88)
})

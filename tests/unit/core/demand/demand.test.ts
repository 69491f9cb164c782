import { channelDifficultyBand, channelWorthBand, difficultyBand, worthBand } from '../../../../core/demand/bands'
import { trend } from '../../../../core/demand/trend'
import { meanVolume, yearChange } from '../../../../core/demand/volume'
import {
  demandFactor,
  earningsFactor,
  trendFactor,
  volumeCap,
  worth,
  WORTH_WEIGHTS,
  worthWorking,
  type WorthWeights,
} from '../../../../core/demand/worth'

const repeat = (year: number[], years: number, grow = 1) =>
  Array.from({ length: years }, (_, y) => year.map(value => value * grow ** y)).flat()

const only = (weights: Partial<WorthWeights>): WorthWeights => ({
  ...WORTH_WEIGHTS,
  demand: 0,
  ease: 0,
  trend: 0,
  ...weights,
})

describe('volume and change', () => {
  test('the mean is of the last twelve months; any unknown month makes it unknown', () => {
    // 24 months: twelve of 10, then twelve of 22. Mean of the last twelve is 22.
    expect(meanVolume([...Array<number>(12).fill(10), ...Array<number>(12).fill(22)])).toBe(22)
    expect(meanVolume([...Array<number>(11).fill(1), null])).toBeNull()
    expect(meanVolume([1, 2])).toBeNull()
  })

  test('three months against the same three a year before', () => {
    // Newest three sum to 33, the same three a year before to 30: 33 / 30 − 1 = .1.
    const months = [...Array<number>(12).fill(10), ...Array<number>(9).fill(500), 10, 11, 12]
    expect(yearChange(months)).toBeCloseTo(0.1)
    expect(yearChange(months.map((month, i) => (i < 12 ? 0 : month)))).toBeNull()
    expect(yearChange(months.slice(0, 14))).toBeNull()
  })
})

describe('trend', () => {
  test('a season that repeats is no trend', () => {
    expect(trend(repeat([1, 2, 4, 8, 16, 30, 30, 16, 8, 4, 2, 1], 3))).toEqual({ direction: 'steady', yearly: 0, p: 1 })
  })

  test('every month growing by a half each year rises', () => {
    // Each season has three values v, 1.5 v, 2.25 v: all 36 pairs rise, S = 36. Variance a season n(n−1)(2n+5)/18 =
    // 3·2·11/18 = 11/3, twelve of them 44. z = 35 / √44 = 5.28, p far below .01.
    const found = trend(repeat(Array<number>(12).fill(100), 3, 1.5))!
    expect(found.direction).toBe('rising')
    // Slopes of a season: 50, 75 and 125/2 = 62.5; median 62.5 over the median month 150.
    expect(found.yearly).toBeCloseTo(62.5 / 150)
    expect(found.p).toBeLessThan(1e-6)
  })

  test('falling as surely fades', () =>
    expect(trend(repeat(Array<number>(12).fill(400), 3, 0.6))!.direction).toBe('fading'))
  test('a sure but small change is steady', () =>
    expect(trend(repeat(Array<number>(12).fill(100), 3, 1.04))!.direction).toBe('steady'))
  test('less than two years tell nothing', () => expect(trend(Array<number>(23).fill(1))).toBeNull())

  test('unknown months are left out of the comparisons', () => {
    const months: (number | null)[] = repeat(Array<number>(12).fill(100), 3, 1.5)
    months[3] = null
    expect(trend(months)!.direction).toBe('rising')
  })
})

describe('worth by a chance', () => {
  const steady = { direction: 'steady' as const, yearly: 0 }
  const of = (volume: number, ease: number) => ({ volume, cap: 99_999, ease, trend: steady, byChance: true })

  test('is the demand of the searches that can be won', () => {
    // log(1 + 999 × .5) ÷ log(100,000) = .53986, to the power of .9.
    expect(worth(of(999, 0.5))).toBeCloseTo(100 * Math.pow(Math.log(500.5) / Math.log(100_000), 0.9), 8)
  })

  test('ranks by searches × chance: a twentieth of a hundred times the searches is more than the whole of one', () => {
    expect(worth(of(50_000, 0.05))!).toBeGreaterThan(worth(of(500, 1))!)
    expect(worth({ ...of(50_000, 0.05), byChance: false })!).toBeLessThan(worth({ ...of(500, 1), byChance: false })!)
  })

  test('without a chance nothing can be won; a weight of 0 leaves its part out', () => {
    expect(worth(of(50_000, 0))).toBe(0)
    expect(worth(of(999, 0.01), only({ demand: 1 }))).toBeCloseTo(60, 8)
    expect(worth(of(999, 0.25), only({ ease: 1 }))).toBeCloseTo(25, 8)
  })

  test('the working says what each factor costs by itself', () => {
    const { worth: value, factors, heldBackBy } = worthWorking(of(999, 0.1))
    const costs = Object.fromEntries(factors.map(({ name, holdsBack }) => [name, holdsBack!]))
    expect(costs.ease).toBeCloseTo(worth(of(999, 1))! - value!, 8)
    expect(costs.demand).toBeCloseTo(worth(of(99_999, 0.1))! - value!, 8)
    expect(costs.trend).toBe(0)
    expect(heldBackBy).toBe('demand')
  })
})

describe('what views bring in the worth', () => {
  const brings = { intents: { hire: 0.004, learn: 0.0005 }, other: 0.001 }
  const weights: WorthWeights = { demand: 0.4, ease: 0.4, trend: 0, earnings: 0.2, brings }
  const phrase = { volume: 999, cap: 99_999, ease: 0.5, trend: null }

  test('the best intent leaves it as it is, others by what they bring of it, unknown ones by the usual', () => {
    expect(earningsFactor(brings, 'hire')).toBe(1)
    expect(earningsFactor(brings, 'learn')).toBeCloseTo(0.125)
    expect(earningsFactor(brings, null)).toBeCloseTo(0.25)
    expect(earningsFactor({ intents: { hire: 0.0001 }, other: 0.001 }, null)).toBe(1)
    // 100 × .6^.4 × .5^.4 = 61.78; × .125^.2 = .6598.
    expect(worth({ ...phrase, intent: 'hire' }, weights)).toBeCloseTo(61.78, 1)
    expect(worth({ ...phrase, intent: 'learn' }, weights)).toBeCloseTo(61.78 * 0.6598, 1)
  })

  test('without anything told, or without a weight, it counts nothing and is not in the working', () => {
    const learn = { ...phrase, intent: 'learn' as const }
    const without = { ...weights, earnings: 0 }
    expect(worth(learn, { ...weights, brings: null })).toBe(worth(learn, without))
    expect(worth(learn, without)).toBeCloseTo(54.77, 1)
    expect(worthWorking(learn, without).factors.map(({ name }) => name)).toEqual(['demand', 'ease', 'trend'])
    const { factors, heldBackBy } = worthWorking(learn, weights)
    expect(factors.find(({ name }) => name === 'earnings')!.holdsBack).toBeCloseTo(61.78 * (1 - 0.6598), 1)
    expect(heldBackBy).toBe('earnings')
    expect(worth({ ...learn, byChance: true }, weights)!).toBeLessThan(
      worth({ ...learn, intent: 'hire', byChance: true }, weights)!,
    )
  })
})

describe('worth', () => {
  const steady = { direction: 'steady' as const, yearly: 0 }

  test('the weighted geometric mean, worked out by hand', () => {
    // demand log(1 + 999) / log(1 + 99,999) = 3 / 5 = .6; ease .5; trend 1.
    // 100 × .6^.45 × .5^.45 = 100 × exp(.45 × (ln .6 + ln .5)) = 100 × exp(.45 × −1.203973) = 58.174.
    expect(worth({ volume: 999, cap: 99_999, ease: 0.5, trend: steady })).toBeCloseTo(58.174, 2)
  })

  test('any unknown factor makes it unknown, unless it has no weight', () => {
    expect(worth({ volume: null, cap: 1000, ease: 1, trend: steady })).toBeNull()
    expect(worth({ volume: 10, cap: 1000, ease: null, trend: steady })).toBeNull()
    expect(worth({ volume: 10, cap: 1000, ease: 1, trend: null })).toBeNull()
    expect(worth({ volume: 1000, cap: 999, ease: null, trend: null }, only({ demand: 1 }))).toBeCloseTo(100)
  })

  test('demand is capped, and the cap is never below a thousand', () => {
    expect(demandFactor(5_000_000, 100_000)).toBe(1)
    expect(volumeCap([3, 4])).toBe(1000)
    // 2,000 volumes 1 … 2,000: the 99.9th percentile by nearest rank is the 1,998th.
    expect(volumeCap(Array.from({ length: 2000 }, (_, i) => i + 1))).toBe(1998)
  })

  test('trend moves it from .6 to 1.1 and no further', () => {
    expect(trendFactor({ direction: 'rising', yearly: 0.25 })).toBeCloseTo(1.05)
    expect(trendFactor({ direction: 'rising', yearly: 9 })).toBeCloseTo(1.1)
    expect(trendFactor({ direction: 'fading', yearly: -0.25 })).toBeCloseTo(0.8)
    expect(trendFactor({ direction: 'fading', yearly: -3 })).toBeCloseTo(0.6)
  })

  test('the working names what holds it back, and by how much', () => {
    const working = worthWorking({ volume: 999, cap: 99_999, ease: 0.2, trend: steady })
    expect(working.heldBackBy).toBe('ease')
    // With ease 1 it would be 100 × .6^.45 = 79.464; as it is 79.464 × .2^.45 = 38.512: ease costs 40.95.
    expect(working.factors.find(factor => factor.name === 'ease')!.holdsBack).toBeCloseTo(40.95, 1)
    expect(worthWorking({ volume: null, cap: 1000, ease: 1, trend: steady })).toMatchObject({
      worth: null,
      heldBackBy: 'demand',
    })
    expect(worthWorking({ volume: 100_000, cap: 1000, ease: 1, trend: steady }).heldBackBy).toBeNull()
  })

  test('a factor of nothing shows what it costs too', () => {
    const working = worthWorking({ volume: 999, cap: 99_999, ease: 0, trend: steady })
    expect(working.worth).toBe(0)
    expect(working.factors.find(factor => factor.name === 'ease')!.holdsBack).toBeCloseTo(79.46, 1)
  })

  test('bands begin at their cuts', () => {
    expect([0, 100].map(worth => worthBand(worth, 0))).toEqual(['thin', 'prime'])
    expect([0, 100].map(difficultyBand)).toEqual(['low', 'walled'])
  })

  test('for a channel no word contradicts the chance beside it', () => {
    expect([0, 0.14, 0.15, 0.4, 0.69, 0.7, 1].map(channelDifficultyBand)).toEqual([
      'walled',
      'walled',
      'high',
      'middling',
      'middling',
      'low',
      'low',
    ])
    expect([0.1, 0.2, 0.5, 0.9].map(chance => channelWorthBand(100, chance))).toEqual([
      'thin',
      'usable',
      'solid',
      'prime',
    ])
    expect(channelWorthBand(10, 1)).toBe('thin')
  })
  test('for anyone none contradicts the difficulty beside it', () => {
    expect([10, 33, 40, 60].map(difficulty => worthBand(100, difficulty))).toEqual(['prime', 'solid', 'usable', 'thin'])
    expect(worthBand(10, 0)).toBe('thin')
  })
})

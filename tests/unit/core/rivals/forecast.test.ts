import fc from 'fast-check'
import {
  chanceOfPageOne,
  firstPage,
  forecast as forecastOrNone,
  RESULTS_READ,
  type Forecast,
  SPREAD,
} from '../../../../core/rivals/forecast'
import { ownStrength } from '../../../../core/rivals/ownStrength'
import { readingInWords, whySoft } from '../../../../core/rivals/reading'
import { earnings, SHARES, viewsToWin } from '../../../../core/rivals/winnings'
import { seeded, normal } from '../../../../server/services/standin/chance'
import { runs } from '../../../setup/runs'

/** The forecast of a page that has results. */
const forecast = (...of: Parameters<typeof forecastOrNone>) => forecastOrNone(...of)!
const strength = fc.double({ min: 0, max: 1, noNaN: true })
const page = fc.array(strength, { minLength: 20, maxLength: 60 })

describe('chance of page one', () => {
  test('agrees with drawing lots', () => {
    const rivals = Array.from({ length: 40 }, (_, i) => 0.7 - 0.006 * i)
    const own = 0.55
    const random = seeded(5)
    let won = 0
    const runs = 40_000
    for (let run = 0; run < runs; run++) {
      const mine = own + SPREAD.sigma * normal(random)
      let ahead = 0
      for (const rival of rivals) if (random() < 1 / (1 + Math.exp((mine - rival) / SPREAD.tau))) ahead++
      if (ahead < 20) won++
    }
    expect(Math.abs(forecast(own, rivals, false).pageOne - won / runs)).toBeLessThan(0.01)
  })

  test('the luck is shared: with equal rivals the ranks spread over the whole page', () => {
    const { ranks, likely } = forecast(0.5, new Array<number>(60).fill(0.5), false)
    expect(ranks.reduce((a, b) => a + b, 0)).toBeCloseTo(1)
    expect(likely[1] - likely[0]).toBeGreaterThan(25)
  })

  test('fewer than twenty results leave a seat free; a page full of giants leaves none', () => {
    expect(forecast(0, new Array<number>(12).fill(1), false).pageOne).toBeCloseTo(1)
    expect(forecast(0.2, new Array<number>(60).fill(0.9), false).pageOne).toBeLessThan(0.02)
  })

  test('a page without any result says nothing', () => {
    expect(forecastOrNone(0.9, [], false)).toBeNull()
    expect(chanceOfPageOne(0.9, [], false)).toBeNull()
  })

  test('rises evenly with my strength, without a ripple, also where the number ahead turns steeply', () => {
    const chances = Array.from({ length: 400 }, (_, i) =>
      chanceOfPageOne(0.2 + i * 0.0015, new Array<number>(60).fill(0.5), false)!,
    )
    const bends = chances.slice(2).map((chance, i) => Math.abs(chance - 2 * chances[i + 1]! + chances[i]!))
    expect(Math.max(...bends)).toBeLessThan(5e-5)
  })

  test('is compared by the first twenty results, however many were read', () => {
    const strengths = Array.from({ length: 60 }, (_, i) => 0.7 - i * 0.01)
    expect(firstPage(strengths, false)).toEqual({ strengths: strengths.slice(0, 20), more: true })
    expect(firstPage(strengths.slice(0, 12), false)).toEqual({ strengths: strengths.slice(0, 12), more: false })
  })

  test('the quick sum is the same chance', () => {
    fc.assert(
      fc.property(strength, page, fc.boolean(), (own, strengths, more) => {
        expect(chanceOfPageOne(own, strengths, more)).toBeCloseTo(forecast(own, strengths, more).pageOne, 7)
      }),
      { numRuns: runs(60) },
    )
  })

  test('never rises when a rival is added', () => {
    fc.assert(
      fc.property(strength, fc.array(strength, { minLength: 1, maxLength: 59 }), strength, (own, strengths, added) => {
        expect(forecast(own, [...strengths, added], false).pageOne).toBeLessThanOrEqual(
          forecast(own, strengths, false).pageOne + 1e-9,
        )
      }),
      { numRuns: runs(120) },
    )
  })

  test('never falls when I grow stronger', () => {
    fc.assert(
      fc.property(strength, strength, page, (a, b, strengths) => {
        expect(forecast(Math.min(a, b), strengths, true).pageOne).toBeLessThanOrEqual(
          forecast(Math.max(a, b), strengths, true).pageOne + 1e-9,
        )
      }),
      { numRuns: runs(60) },
    )
  })

  test('is not sharpened by reading fewer results, where those unread are no stronger than the last ten read', () => {
    fc.assert(
      fc.property(
        strength,
        fc.array(strength, { minLength: RESULTS_READ, maxLength: RESULTS_READ }),
        fc.integer({ min: 20, max: 59 }),
        (own, strengths, read) => {
          const tail = strengths.slice(read - 10, read).reduce((a, b) => a + b, 0) / 10
          const all = strengths.map((each, i) => (i < read ? each : Math.min(each, tail)))
          expect(forecast(own, all.slice(0, read), true).pageOne).toBeLessThanOrEqual(
            forecast(own, all, false).pageOne + 1e-9,
          )
        },
      ),
      { numRuns: runs(100) },
    )
  })

  test('nor are the likely ranks: they never end sooner for a page that falls off and is read less far', () => {
    fc.assert(
      fc.property(
        strength,
        fc.array(strength, { minLength: RESULTS_READ, maxLength: RESULTS_READ }),
        fc.integer({ min: 20, max: 59 }),
        (own, strengths, read) => {
          const falling = [...strengths].sort((a, b) => b - a)
          const [less, all] = [forecast(own, falling.slice(0, read), true), forecast(own, falling, false)]
          expect(less.pageOne).toBeLessThanOrEqual(all.pageOne + 1e-9)
          expect(less.likely[0]).toBeGreaterThanOrEqual(all.likely[0])
          expect(less.likely[1]).toBeGreaterThanOrEqual(all.likely[1])
        },
      ),
      { numRuns: runs(100) },
    )
  })

  test('soft seats are those I pass more likely than not', () => {
    const { softSeats, ahead } = forecast(0.6, [0.9, 0.3, 0.62, 0.2], false)
    expect(softSeats).toEqual([2, 4])
    expect(ahead[0]).toBeGreaterThan(0.8)
  })
})

describe('my own strength', () => {
  const day = 86_400_000
  const at = 1000 * day
  const videos = Array.from({ length: 15 }, (_, i) => ({
    views: i < 5 ? 1_000_000 : 100 * (i + 1),
    publishedAt: at - (15 - i) * 10 * day,
  }))
  test('reads the median of the last ten', () => {
    const own = ownStrength({ subscribers: 999, videos }, at)!
    expect(own.videos).toBe(10)
    // Views and age of the last ten: 600 in 100 days, 700 in 90, … 1,500 in 10; the two in the middle are 1,000 in 60
    // and 1,100 in 50.
    expect(own.viewsPerDay).toBeCloseTo((1000 / 60 + 1100 / 50) / 2)
    expect(own.reach).toBeCloseTo(3 / 7)
    expect(own.strength).toBeCloseTo(0.45 + 0.25 * own.reach! + 0.3 * own.pull!)
  })
  test('an untold part leaves its weight; nothing told is nothing known; the future does not count', () => {
    expect(ownStrength({ subscribers: null, videos }, at)!.strength).toBeGreaterThan(0.6)
    expect(ownStrength({ subscribers: 0, videos: [] }, at)!.strength).toBeCloseTo(0.45 / 0.7)
    expect(ownStrength({ subscribers: null, videos: [] }, at)).toBeNull()
    expect(ownStrength({ subscribers: null, videos: [{ views: 5, publishedAt: at + day }] }, at)).toBeNull()
  })
})

describe('what a page brings', () => {
  test('views are three months of searches times the share of the ranks', () => {
    const certain = { ranks: Float64Array.from([0, 1]), likely: [2, 2] as [number, number] }
    expect(viewsToWin(1000, certain, [0.3, 0.1])).toEqual({ expected: 300, low: 300, high: 300 })
    expect(viewsToWin(null, certain)).toBeNull()
    expect(viewsToWin(1000, { ranks: Float64Array.from([0, 0, 1]), likely: [3, 3] }, [0.3, 0.1])!.expected).toBe(0)
  })
  test('the shares fall and take less than all', () => {
    expect(SHARES.every((share, i) => i === 0 || share < SHARES[i - 1]!)).toBe(true)
    expect(SHARES.reduce((a, b) => a + b, 0)).toBeLessThan(1)
  })
  test('earnings are whole micros', () => {
    expect(
      earnings({ low: 1500, high: 3000 }, { currency: 'GBP', lowMicros: 1_000_001, highMicros: 2_000_000 }),
    ).toEqual({ lowMicros: 1_500_002, highMicros: 6_000_000 })
  })
})

describe('the reading in words', () => {
  const own = ownStrength({ subscribers: 5000, videos: [{ views: 100, publishedAt: 0 }] }, 10 * 86_400_000)!
  test('one sentence, with what is known', () => {
    const told = forecast(own.strength, new Array<number>(60).fill(0.4), false)
    const text = readingInWords({
      difficulty: { page: 40, front: 50, middle: 40, rest: 30 },
      forecast: told,
      winnings: viewsToWin(1200, told),
      turnover: 0.25,
      age: null,
      results: 60,
      exactTitles: 0,
    })
    expect(text).toMatch(
      /^A video of mine with the phrase in title and description would most likely rank .*page one is likely \(roughly 73 %\), for [\d.K]+(?: to [\d.K]+)? views in 90 days; the front of the page is stronger than its end; no title on page one has the exact words; 25 % of page one changes in 30 days\.$/u,
    )
    expect(text.match(/\./gu)!.length).toBeGreaterThan(0)
  })
  test('one rank is no range, and behind all is said as that', () => {
    const of = (strengths: number[], mine: number) => {
      const found = forecast(mine, strengths, false)
      return readingInWords({
        difficulty: null,
        forecast: found,
        winnings: viewsToWin(3000, found),
        turnover: null,
        age: null,
        results: strengths.length,
        exactTitles: 1,
      })
    }
    expect(of(new Array<number>(20).fill(0.1), 0.95)).toMatch(
      /rank at 1; .*for 2K views in 90 days; .*; 1 of 20 titles has/u,
    )
    expect(of(new Array<number>(20).fill(0.99), 0.05)).toContain('rank below the first 20;')
  })
  test('what is hardly any, or unknown at its low end, is not told as nothing', () => {
    const of = (winnings: { low: number; high: number }, likely: [number, number]) =>
      readingInWords({
        difficulty: null,
        forecast: { pageOne: 0.1, likely, ranks: new Float64Array(61) } as Forecast,
        winnings: { ...winnings, expected: 1 },
        turnover: null,
        age: null,
        results: 60,
        exactTitles: 1,
      })
    expect(of({ low: 0, high: 3.4 }, [50, 61])).toMatch(
      /rank at 50 or further down; .*, for up to 3 views in 90 days;/u,
    )
    expect(of({ low: 0, high: 0 }, [61, 61])).toMatch(/rank below the first 60; .*, for hardly any views in 90 days;/u)
    expect(of({ low: 0.6, high: 1.2 }, [30, 34])).toMatch(/between 30 and 34; .*, for up to 1 view in 90 days;/u)
    expect(of({ low: 40, high: 1234 }, [3, 20])).toContain(', for 40 to 1.2K views in 90 days;')
  })
  test('another spelling that the site shows is told first, in a sentence of its own', () => {
    const text = readingInWords({
      difficulty: null,
      forecast: null,
      winnings: null,
      turnover: null,
      age: null,
      results: 10,
      exactTitles: 1,
      readAs: 'rear derailleur',
    })
    expect(text).toMatch(
      /^The site treats it as “rear derailleur”, which more people search for, and so do the figures here\. Choose your channel/u,
    )
  })
  test('without a channel, with half a page, and for an empty one', () => {
    const text = readingInWords({
      difficulty: null,
      forecast: null,
      winnings: null,
      turnover: null,
      age: { median: 400, young: 0 },
      results: 10,
      exactTitles: 3,
    })
    expect(text).toContain('Choose your channel in the Library')
    expect(text).toContain('incomplete')
    expect(text).toContain('3 of 10 titles')
    expect(text).toContain('older than 13 months')
    expect(
      readingInWords({
        difficulty: null,
        forecast: null,
        winnings: null,
        turnover: null,
        age: null,
        results: 0,
        exactTitles: 0,
      }),
    ).toContain('so its difficulty is unknown')
  })
  test('a soft seat says what its holder lacks, the greatest lack first', () => {
    expect(whySoft({ targeting: 0.1, reach: 0.3, pull: 0.1 }, own)[0]).toBe('hardly matches the phrase')
    expect(whySoft({ targeting: 1, reach: 0.9, pull: 0.9 }, own)).toEqual([])
  })
})

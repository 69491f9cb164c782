import fc from 'fast-check'
import { bitPeaks, peakBits, season } from '../../../../core/demand/season'
import { spike } from '../../../../core/demand/spike'
import { demandStory } from '../../../../core/demand/story'
import { trend } from '../../../../core/demand/trend'
import { fillMonths } from '../../../../core/demand/fillMonths'
import { series } from './series'

const LAST = 9

describe('season', () => {
  test('a pure yearly wave has strength 1, its shape and its peak', () => {
    const found = season(series({ swing: 0.5, peak: 3 }), LAST)!
    expect(found.strength).toBeGreaterThan(0.999)
    expect(found.shape.indexOf(Math.max(...found.shape))).toBe(3)
    expect(found.shape[3]).toBeCloseTo(Math.exp(0.5), 1)
    expect(found.shape[9]).toBeCloseTo(Math.exp(-0.5), 1)
    expect(found.peaks).toEqual([2, 3, 4])
  })

  test('a peak over the turn of the year is one stretch', () => {
    expect(season(series({ swing: 0.6, peak: 0 }), LAST)!.peaks).toEqual([11, 0, 1])
  })

  test('growth is no season, and a season under growth is found all the same', () => {
    expect(season(series({ growth: 0.6 }), LAST)).toBeNull()
    expect(season(series({ growth: 0.6, swing: 0.5 }), LAST)!.peaks).toEqual([2, 3, 4])
  })

  test('the more noise, the weaker', () => {
    const strengths = [0.02, 0.1, 0.2].map(noise => season(series({ swing: 0.5, noise, seed: 7 }), LAST)?.strength ?? 0)
    expect(strengths[0]).toBeGreaterThan(0.95)
    expect(strengths[0]).toBeGreaterThan(strengths[1]!)
    expect(strengths[1]).toBeGreaterThan(strengths[2]!)
  })

  test('noise alone shows a season in at most 5 % of 1,000 series', () => {
    for (const noise of [0.05, 0.3, 0.8]) {
      let found = 0
      for (let seed = 1; seed <= 1000; seed++) if (season(series({ noise, seed }), LAST)) found++
      expect(found).toBeLessThanOrEqual(50)
    }
  })

  test('a true season is found nearly always', () => {
    let found = 0
    for (let seed = 1; seed <= 200; seed++) if (season(series({ swing: 0.4, noise: 0.2, seed }), LAST)) found++
    expect(found).toBeGreaterThan(190)
  })

  test('scale does not matter, nor do three gaps; too little says nothing', () => {
    const months = series({ swing: 0.5, noise: 0.05, level: 50_000 })
    expect(
      season(
        months.map(month => month * 20),
        LAST,
      )!.strength,
    ).toBeCloseTo(season(months, LAST)!.strength, 3)
    expect(
      season(
        months.map((month, i) => ([4, 17, 30].includes(i) ? null : month)),
        LAST,
      )!.peaks,
    ).toEqual([2, 3, 4])
    expect(
      season(
        months.map((month, i) => (i % 6 === 0 ? null : month)),
        LAST,
      ),
    ).toBeNull()
    expect(season(months.slice(1), LAST)).toBeNull()
    expect(season(new Array<number>(36).fill(0), LAST)).toBeNull()
  })

  test('whatever the series, strength is a part and peaks are months', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 100_000 }), { minLength: 36, maxLength: 36 }),
        fc.integer({ min: 0, max: 11 }),
        (months, last) => {
          const found = season(months, last)
          if (!found) return
          expect(found.strength).toBeGreaterThanOrEqual(0)
          expect(found.strength).toBeLessThanOrEqual(1)
          expect(bitPeaks(peakBits(found.peaks))).toEqual([...found.peaks].sort((a, b) => a - b))
        },
      ),
    )
  })
})

describe('trend against known answers', () => {
  test('noise alone shows a trend in at most 2 % of 1,000 series', () => {
    for (const noise of [0.05, 0.3, 0.8]) {
      let found = 0
      for (let seed = 1; seed <= 1000; seed++) if (trend(series({ noise, seed }))!.direction !== 'steady') found++
      expect(found).toBeLessThanOrEqual(20)
    }
  })

  test('growth of a fifth a year is found in noise and season, and about right', () => {
    let found = 0
    let slope = 0
    for (let seed = 1; seed <= 100; seed++) {
      const told = trend(series({ growth: 0.25, swing: 0.5, noise: 0.08, seed }))!
      if (told.direction === 'rising') found++
      slope += told.yearly / 100
    }
    expect(found).toBeGreaterThan(95)
    expect(slope).toBeGreaterThan(0.18)
    expect(slope).toBeLessThan(0.32)
  })
})

describe('spike', () => {
  const flat = new Array<number>(36).fill(100)
  test('most searches in three months once is a spike, and over', () => {
    const months = flat.map((month, i) => (i >= 20 && i <= 22 ? 3000 : month))
    const found = spike(months)!
    expect([found.from, found.to, found.over]).toEqual([20, 22, true])
    expect(found.share).toBeCloseTo(9100 / (33 * 100 + 9000))
    expect(spike(flat.map((month, i) => (i >= 34 ? 3000 : month)))!.over).toBe(false)
  })

  test('a season of a few months is none, nor is an even series, nor nothing', () => {
    expect(spike(flat.map((_, i) => (i % 12 < 3 ? 5000 : 10)))).toBeNull()
    expect(spike(flat)).toBeNull()
    expect(spike(new Array<number>(36).fill(0))).toBeNull()
    expect(spike([1, 2, 3])).toBeNull()
  })
})

describe('the story', () => {
  const story = (months: number[]) =>
    demandStory({
      season: season(months, LAST),
      trend: trend(months),
      spike: spike(months),
      lastMonth: LAST,
      months: months.length,
    })
  test('says what is there, in words', () => {
    expect(story(series({ swing: 0.5 }))).toMatch(
      /^A strong season, highest in March to May: \d+ % above the year’s level\. Steady from year to year\.$/u,
    )
    expect(story(series({ growth: 0.3 }))).toMatch(/^Rising by \d+ % a year\.$/u)
    expect(story(series({ noise: 0.05 }))).toBe('Asked for all year round, steady from year to year.')
    expect(story(series({}).map((month, i) => (i === 20 || i === 21 ? month * 60 : month)))).toMatch(
      /^A spike: \d+ % of all searches in 36 months fell in July to August, and it is over\./u,
    )
    expect(demandStory({ season: null, trend: null, spike: null, lastMonth: 0, months: 0 })).toBe(
      'No source has monthly figures.',
    )
  })
})

test('gaps are bridged in a straight line, ends are not', () => {
  expect(fillMonths([1, null, 3, null, null, 6])).toEqual([1, 2, 3, 4, 5, 6])
  expect(fillMonths([null, 2, 3])).toBeNull()
  expect(fillMonths([1, null, null, null, null, 6])).toBeNull()
})

import { barsOf, pageTraits, TRAITS } from '../../../../core/chance/bars'
import { holdersOf, rareness, rarityOf } from '../../../../core/chance/rarity'
import { readPhrase } from '../../../../core/text/match'

describe('bars of a page', () => {
  test('worked by hand for three results with none beyond', () => {
    // Odds 4, 2, 1: left 7, 3, 1; waited 1/7, 1/7 + 1/3, 1/7 + 1/3 + 1.
    const bars = barsOf([Math.log(4), Math.log(2), 0], false)
    expect([...bars].map(bar => Math.exp(-bar))).toEqual(
      [1 / 7, 1 / 7 + 1 / 3, 1 / 7 + 1 / 3 + 1].map(each => expect.closeTo(each, 10)),
    )
  })

  test('fall with the rank, rise with the results, and do not depend on where worths begin', () => {
    const worths = Array.from({ length: 20 }, (_, i) => 3 - i / 8)
    const bars = barsOf(worths, true)
    for (let i = 1; i < bars.length; i++) expect(bars[i]!).toBeLessThan(bars[i - 1]!)
    const better = barsOf(
      worths.map(worth => worth + 700),
      true,
    )
    better.forEach((bar, i) => expect(bar - bars[i]!).toBeCloseTo(700, 6))
  })

  test('a page that ends has room for whoever is found; one that goes on goes on as it ended', () => {
    expect(barsOf([1, 0.5], false, 4)[2]).toBe(-Infinity)
    const on = barsOf([1, 0.5], true, 40)
    expect(on[39]).toBeGreaterThan(-Infinity)
    expect(on[39]!).toBeLessThan(on[1]!)
  })
})

describe('rarity', () => {
  const rarity = rarityOf([
    { stems: ['bike', 'chain'], words: 10 },
    { stems: ['bike'], words: 20 },
    { stems: ['bike', 'chain', 'oil'], words: 30 },
    { stems: ['cup'], words: 20 },
  ])

  test('counts texts, not words, and half of one for what was hardly seen', () => {
    expect(rarity).toMatchObject({ texts: 4, length: 20 })
    expect(['bike', 'chain', 'oil', 'never'].map(stem => holdersOf(rarity, stem))).toEqual([3, 2, 0.5, 0.5])
  })

  test('a rare word tells more, and none tells nothing', () => {
    expect(rareness(rarity, 'chain')).toBeCloseTo(Math.log(2.5 / 2.5) || 0.01, 10)
    expect(rareness(rarity, 'oil')).toBeCloseTo(Math.log(4), 10)
    expect(rareness(rarity, 'bike')).toBe(0.01)
  })

  test('traits of a page without anything known are numbers', () => {
    const traits = pageTraits([0], [false], 0, readPhrase('how to', 'en'), rarityOf([]))
    expect(traits).toHaveLength(TRAITS.length)
    for (const trait of [...traits, ...pageTraits([0], [false], 0, readPhrase('…', 'en'), rarity)])
      expect(Number.isFinite(trait)).toBe(true)
  })
})

import {
  calibrate,
  calibratedChance,
  meanChance,
  USUAL_CALIBRATION,
  type Tried,
} from '../../../../core/chance/calibration'
import { expectedDoing, fitDoing } from '../../../../core/chance/doing'
import { learntRanks, type Hurdles } from '../../../../core/chance/model'
import { readVideoText, SIGNAL, withStanding, wordingSignals } from '../../../../core/chance/signals'
import { rarityOf } from '../../../../core/chance/rarity'
import { seeded } from '../../../../core/random'
import { likelyRanks } from '../../../../core/rivals/forecast'
import { readPhrase } from '../../../../core/text/match'

const rarity = rarityOf([{ stems: ['bike', 'chain'], words: 20 }])

describe('signals', () => {
  const signals = (title: string, description: string | null, tags: string[] | null) =>
    wordingSignals(readPhrase('bike chain', 'en'), readVideoText({ title, description, tags }, 'en'), rarity)

  test('a text with the phrase everywhere has them all', () => {
    const full = signals('Bike chain', 'Bike chain, cleaned.', ['bike chain'])
    for (const name of ['title', 'exact', 'firstLine', 'tag', 'whole', 'rare'] as const)
      expect(full[SIGNAL[name]]).toBe(1)
  })

  test('words spread over the parts make it whole, and nothing makes nothing', () => {
    const spread = signals('My bike', 'On its chain.', [])
    expect(spread[SIGNAL.whole]).toBe(1)
    expect(spread[SIGNAL.exact]).toBe(0)
    const none = signals('Soup', null, null)
    expect(none[SIGNAL.whole]).toBe(0)
    expect(none[SIGNAL.relevance]).toBe(0)
  })

  test('what nobody told of the standing counts as usual', () => {
    const told = withStanding(signals('Soup', '', []), {
      subscribers: null,
      viewsPerDay: null,
      ageDays: null,
      seconds: null,
    })
    for (const name of ['reach', 'pull', 'youth', 'length'] as const) expect(told[SIGNAL[name]]).toBe(0)
  })
})

describe('chances', () => {
  test('a spread draws a chance towards the middle', () => {
    expect(meanChance(2, 0)).toBeCloseTo(1 / (1 + Math.exp(-2)), 10)
    expect(meanChance(2, 3)).toBeLessThan(meanChance(2, 0))
    expect(meanChance(0, 3)).toBeCloseTo(0.5, 10)
    expect([meanChance(Infinity, 1), meanChance(-Infinity, 1)]).toEqual([1, 0])
  })

  test('a calibration finds how much a gap decides, and stays usual where nobody tried', () => {
    expect(calibrate([])).toEqual(USUAL_CALIBRATION)
    const random = seeded(7)
    const tried = Array.from({ length: 4000 }, (): Tried => {
      const gap = 6 * random() - 3
      const traits = Float64Array.from({ length: 6 }, () => random() - 0.5)
      return { gap, spread: 0, traits, won: random() < 1 / (1 + Math.exp(0.8 - 2 * gap)) }
    })
    const found = calibrate(tried)
    expect(found.slope).toBeCloseTo(2, 0)
    expect(found.offset).toBeCloseTo(-0.8, 0)
    const said = tried.map(each => calibratedChance(found, each))
    const won = tried.filter(each => each.won).length
    expect(said.reduce((sum, chance) => sum + chance, 0) / won).toBeCloseTo(1, 1)
  })

  test('likely ranks are the fewest that hold half, or one fewer where that is nearer to it, and the ranks sum to 1', () => {
    const hurdles: Hurdles = { full: 0, wording: 0, ranks: Float64Array.of(2, 1, 0, -1) }
    const ranks = learntRanks({ value: 0, spread: 0 }, hurdles, 0)
    expect(ranks.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 12)
    expect(ranks[0]).toBeCloseTo(1 / (1 + Math.exp(2)), 10)
    expect(likelyRanks([0.1, 0.6, 0.2, 0.1])).toEqual([2, 2])
    expect(likelyRanks([0.9, 0.1])).toEqual([1, 1])
    // Two hold .45, three hold .8.
    expect(likelyRanks([0.2, 0.25, 0.35, 0.2])).toEqual([2, 3])
    expect(likelyRanks([0.1, 0.25, 0.2, 0.35, 0.1])).toEqual([3, 4])
    expect(likelyRanks([0.3, 0.3, 0.4])).toEqual([1, 2])
    expect(likelyRanks([0.25, 0.1, 0.1, 0.1, 0.1, 0.1, 0.25])).toEqual([1, 4])
  })
})

describe('what videos of a channel do', () => {
  const random = seeded(11)
  const videos = Array.from({ length: 400 }, (_, i) => {
    const channel = i % 20
    const subscribers = 10 ** (1 + channel / 4)
    const ageDays = 1 + 300 * random()
    const tenfolds =
      0.5 +
      0.4 * Math.log10(1 + subscribers) -
      0.2 * Math.log10(ageDays) +
      (channel === 3 ? 0.5 : 0) +
      0.8 * (random() - 0.5)
    return { channel, subscribers, ageDays, viewsPerDay: 10 ** tenfolds - 1 }
  })

  test('size, age and a channel that does better are told apart', () => {
    const { doing, channels } = fitDoing(videos)
    expect(doing.bySize).toBeCloseTo(0.4, 1)
    expect(doing.byAge).toBeCloseTo(-0.2, 1)
    expect(channels.get(3)!).toBeGreaterThan(0.25)
    expect(Math.abs(channels.get(4)!)).toBeLessThan(0.15)
    expect(expectedDoing(doing, 1_000_000, 28)).toBeGreaterThan(expectedDoing(doing, 10, 28) + 1.5)
  })

  test('of a single video hardly anything is learnt of its channel', () => {
    const one = { channel: 77, subscribers: 1000, ageDays: 28, viewsPerDay: 150 }
    const { channels } = fitDoing([...videos, one])
    const many = fitDoing([...videos, ...Array.from({ length: 30 }, () => one)])
    expect(channels.get(77)!).toBeGreaterThan(0)
    expect(channels.get(77)!).toBeLessThan(many.channels.get(77)! * 0.9)
  })

  test('with nothing known it is wide and usual', () => {
    const { doing } = fitDoing([])
    expect(doing).toEqual({ usual: 0.6, bySize: 0.35, byAge: -0.15, within: 0.5, between: 0.25 })
  })
})

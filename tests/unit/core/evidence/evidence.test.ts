import { evidenceOf, LEAST_FAMILIES, type EvidencePage } from '../../../../core/evidence/evidence'
import { pageFamilies } from '../../../../core/evidence/families'
import { FAILS, PASSES, UNTOLD } from '../../../../core/evidence/pageReading'
import { footing, pairsOn } from '../../../../core/evidence/pairs'
import { seeded } from '../../../../core/random'
import { runs } from '../../../setup/runs'

// Looked up once: a test run guards the global object, and each look takes its time.
const { sqrt, log, cos, PI } = Math
const [CANDIDATES, SEATS] = [60, 20]
/** A false alarm is held to one in twenty. */
const WORLDS = runs(60)

interface World {
  pages: number
  /** How likely a result has the habit, by its footing from 0 to 1. */
  habit: (strength: number) => number
  /** What the habit is worth, in the unit of the ranking. */
  worth: number
  /** What footing is worth. */
  pull?: (strength: number) => number
}

/** Pages of a made-up site that ranks by footing, by a habit as far as it is worth something, and by chance. */
function world({ pages, habit, worth, pull = strength => 4 * strength }: World, seed: number): EvidencePage[] {
  const random = seeded(seed)
  const bell = () => sqrt(-2 * log(1 - random())) * cos(2 * PI * random())
  return Array.from({ length: pages }, (_, page) => {
    const found = Array.from({ length: CANDIDATES }, (_, i) => {
      const strength = random()
      const has = random() < habit(strength)
      return { id: page * CANDIDATES + i, strength, has, at: pull(strength) + (has ? worth : 0) + bell() }
    })
      .sort((a, b) => b.at - a.at)
      .slice(0, SEATS)
    return {
      ranks: found.map((_, i) => i + 1),
      footings: found.map(each => each.strength * 0.55),
      videos: found.map(each => each.id),
      reading: Uint8Array.from(found.map(each => (each.has ? PASSES : FAILS))),
    }
  })
}

const one = (pages: EvidencePage[]) => evidenceOf(['habit'], pages)[0]!
const half = () => 0.5
/** Strong channels nearly all do it, weak ones hardly ever. */
const ofTheStrong = (strength: number) => 0.05 + 0.9 * strength ** 2

describe('planted worlds', () => {
  test.each([
    ['by footing alone', undefined],
    ['by footing that counts more the stronger', (strength: number) => 5 * strength ** 3],
  ])('an inert habit of strong channels is not called helpful where a site ranks %s', (_, pull) => {
    let alarms = 0
    for (let seed = 1; seed <= WORLDS; seed++)
      if (one(world({ pages: 300, habit: ofTheStrong, worth: 0, ...(pull ? { pull } : {}) }, seed)).verdict !== 'none')
        alarms++
    expect(alarms).toBeLessThanOrEqual(WORLDS / 20)
  })

  test('without a look at reach and pull it would be called so', () => {
    let alarms = 0
    for (let seed = 1; seed <= 20; seed++) {
      const pages = world({ pages: 300, habit: ofTheStrong, worth: 0 }, seed)
      if (one(pages.map(page => ({ ...page, footings: page.footings.map(() => 0) }))).verdict === 'higher') alarms++
    }
    expect(alarms).toBe(20)
  })

  test('a habit worth two ranks that half of the results have is found, and one that harms is told as such', () => {
    let [found, told, sum] = [0, 0, 0]
    for (let seed = 1; seed <= 100; seed++) {
      const helps = one(world({ pages: 300, habit: half, worth: 0.5 }, seed))
      sum += helps.difference!
      if (helps.verdict === 'higher' && helps.low! > 0) found++
      if (one(world({ pages: 300, habit: half, worth: -0.5 }, 1000 + seed)).verdict === 'lower') told++
    }
    // Two ranks, give or take.
    expect(sum / 100).toBeGreaterThan(1.5)
    expect(sum / 100).toBeLessThan(2.5)
    expect(found).toBeGreaterThanOrEqual(90)
    expect(told).toBeGreaterThanOrEqual(90)
  })

  test('the interval holds the truth about as often as it says', () => {
    let held = 0
    for (let seed = 1; seed <= 100; seed++) {
      const { low, high } = one(world({ pages: 100, habit: ofTheStrong, worth: 0 }, 5000 + seed))
      if (low! <= 0 && high! >= 0) held++
    }
    expect(held).toBeGreaterThanOrEqual(89)
  })
})

describe('what can be said', () => {
  test('with too few families of pages nothing is said, however many pages there are', () => {
    const pages = world({ pages: LEAST_FAMILIES - 1, habit: half, worth: 2 }, 1)
    const again = pages.flatMap(page => Array.from({ length: 30 }, () => page))
    const { verdict, difference, families, pages: n } = one(again)
    expect({ verdict, difference, families, n }).toEqual({
      verdict: 'few',
      difference: null,
      families: LEAST_FAMILIES - 1,
      n: 30 * (LEAST_FAMILIES - 1),
    })
  })

  test('a check that no result tells anything of is untold, one that all meet has no pairs', () => {
    const pages = world({ pages: 40, habit: half, worth: 0 }, 3)
    const untold = one(pages.map(page => ({ ...page, reading: page.reading.map(() => UNTOLD) })))
    expect([untold.verdict, untold.share, untold.pairs]).toEqual(['untold', null, 0])
    const all = one(pages.map(page => ({ ...page, reading: page.reading.map(() => PASSES) })))
    expect([all.verdict, all.share, all.pairs]).toEqual(['few', 1, 0])
    expect(evidenceOf(['habit'], [])).toEqual([
      expect.objectContaining({ verdict: 'untold', pages: 0, share: null, difference: null }),
    ])
  })

  test('by hand: a pair counts its ranks, less what its footing is worth', () => {
    const page = { ranks: [1, 2, 5], footings: [0.2, 0.21, 0.22] }
    const reading = Uint8Array.from([PASSES, FAILS, FAILS])
    // Ranks 2 − 1 and 5 − 1; footing .20 − .21 and .20 − .22.
    expect(pairsOn(page, reading, 0)).toEqual({ pairs: 2, ranks: 5, footing: expect.closeTo(-0.03) })
    expect(pairsOn({ ranks: [1, 2], footings: [0.2, 0.24] }, Uint8Array.from([PASSES, FAILS]), 0).pairs).toBe(0)
    expect(pairsOn(page, reading, 0, [true, false, true]).pairs).toBe(1)
    expect(footing(null, 0.5)).toBeNaN()
    expect(pairsOn({ ranks: [1, 2], footings: [NaN, 0.2] }, Uint8Array.from([PASSES, FAILS]), 0).pairs).toBe(0)
  })

  test('the same pages say the same again', () => {
    const pages = world({ pages: 60, habit: half, worth: 0.4 }, 7)
    expect(evidenceOf(['habit'], pages)).toEqual(evidenceOf(['habit'], pages))
  })
})

test('pages that share half of their videos are one family', () => {
  const { family, count } = pageFamilies([[1, 2, 3, 4], [5, 6, 7, 8], [3, 4, 9, 10], [9, 10, 11, 12], []])
  expect([[...family], count]).toEqual([[0, 1, 0, 2, 3], 4])
})

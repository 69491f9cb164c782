import { pointsAndOutcomes, type VideoOutcome } from '../../../../core/ranks/pointsAndOutcomes'
import { seeded } from '../../../../core/random'
import { rankRelation } from '../../../../core/statistics/rankRelation'

const normal = (chance: () => number) => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())

describe('a partial rank correlation', () => {
  test('by hand: ranks alike, turned round, and with ties', () => {
    expect(rankRelation([1, 2, 3, 4, 5], [10, 20, 40, 50, 90])!.r).toBeCloseTo(0.9999, 4)
    expect(rankRelation([1, 2, 3, 4, 5], [9, 7, 5, 3, 1])!.r).toBeCloseTo(-0.9999, 4)
    // 1 − 6 Σd² / n(n² − 1): d = 0, 1, −1, 2, −2.
    expect(rankRelation([1, 2, 3, 4, 5], [1, 3, 2, 6, 4])!.r).toBeCloseTo(1 - (6 * 4) / (5 * 24), 5)
    expect(rankRelation([1, 1, 2, 2], [1, 1, 2, 2])!.r).toBeGreaterThan(0.99)
    expect(rankRelation([1, 1, 1, 1, 1], [1, 2, 3, 4, 5])).toBeNull()
    expect(rankRelation([1, 2, 3], [1, 2, 3])).toBeNull()
  })
  test('what a third lets expect of both is taken out', () => {
    const chance = seeded(4)
    const third = Array.from({ length: 300 }, () => normal(chance))
    const [a, b] = [third.map(t => t + 0.5 * normal(chance)), third.map(t => t + 0.5 * normal(chance))]
    expect(rankRelation(a, b)!.r).toBeGreaterThan(0.6)
    const beside = rankRelation(a, b, [third])!
    expect(beside.low).toBeLessThan(0)
    expect(beside.high).toBeGreaterThan(0)
  })
  test('its interval holds 0 in 92 to 98 of 100 worlds without a relation', () => {
    for (const n of [12, 40]) {
      let held = 0
      for (let world = 0; world < 1000; world++) {
        const chance = seeded(world * 7 + n)
        const row = () => Array.from({ length: n }, () => normal(chance))
        const { low, high } = rankRelation(row(), row(), [row(), row()])!
        if (low <= 0 && high >= 0) held++
      }
      expect(held).toBeGreaterThanOrEqual(920)
      expect(held).toBeLessThanOrEqual(985)
    }
  })
})

function channel(n: number, seed: number, effect: number): VideoOutcome[] {
  const chance = seeded(seed)
  return Array.from({ length: n }, (_, i) => {
    const [wording, luck] = [normal(chance), normal(chance)]
    return {
      percents: [50 + 10 * wording, 50 + 10 * normal(chance)],
      released: i,
      searches: 1000,
      difficulty: 50 + 5 * normal(chance),
      views: Math.exp(5 + effect * wording + luck + i / n),
      clickRate: 0.05 + 0.01 * normal(chance),
      rank: Math.max(1, Math.round(20 - 6 * effect * wording + 5 * normal(chance))),
    }
  })
}

test('a set whose points go with views and rank is told, beside one whose points do not', () => {
  const [one, other] = pointsAndOutcomes(channel(80, 3, 1), 2)
  expect(one!.map(({ outcome, verdict }) => [outcome, verdict])).toEqual([
    ['views', 'more'],
    ['clickRate', 'none'],
    ['rank', 'more'],
  ])
  expect(one![0]!.low).toBeGreaterThan(0)
  expect(other!.map(({ verdict }) => verdict)).toEqual(['none', 'none', 'none'])
  expect(pointsAndOutcomes(channel(80, 3, -1), 2)[0]!.map(({ verdict }) => verdict)).toEqual(['less', 'none', 'less'])
})

test('without a relation one is told in few channels', () => {
  let told = 0
  for (let seed = 0; seed < 200; seed++)
    if (pointsAndOutcomes(channel(30, seed + 1, 0), 2).some(set => set.some(({ verdict }) => verdict !== 'none')))
      told++
  expect(told / 200).toBeLessThan(0.1)
})

test('too few videos, or what is not known of them, tell nothing', () => {
  expect(pointsAndOutcomes([], 1)[0]).toMatchObject([{ n: 0, r: null, q: null, verdict: 'few' }, {}, {}])
  const some = channel(20, 5, 1).map((video, i) => (i < 10 ? { ...video, views: null } : video))
  const [set] = pointsAndOutcomes(some, 1)
  expect(set![0]).toMatchObject({ n: 10, r: null, verdict: 'few' })
  expect(set![2]!.verdict).not.toBe('few')
  const unscored = channel(20, 5, 1).map(video => ({ ...video, percents: [null] }))
  expect(pointsAndOutcomes(unscored, 1)[0]!.every(({ verdict }) => verdict === 'few')).toBe(true)
})

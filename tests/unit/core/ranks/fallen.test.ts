import { fallenOf, lostBy } from '../../../../core/ranks/fallen'
import type { RankDay } from '../../../../core/ranks/standing'
import { SHARES } from '../../../../core/rivals/winnings'
import { seeded } from '../../../../core/random'

const row = (ranks: readonly (number | null)[], last = 100, depth = 60): RankDay[] =>
  ranks.map((rank, i) => ({ day: last - ranks.length + 1 + i, rank, depth }))
const steady = Array.from({ length: 20 }, (_, i) => 4 + (i % 3))

test('three looks in a row below all of before are a fall, told by the middle ones', () => {
  expect(fallenOf(row([...steady, 11, 13, 12]), 100)).toEqual({ from: 5, to: 12, depth: 60, since: 98 })
  expect(fallenOf(row([...steady, null, 58, null]), 100)).toMatchObject({ from: 5, to: null, depth: 60 })
})

test('two looks, one of three that is as before, or a rank that was as low often, are none', () => {
  expect(fallenOf(row([...steady, 5, 13, 12]), 100)).toBeNull()
  expect(fallenOf(row([...steady, 11, 6, 12]), 100)).toBeNull()
  const wide = Array.from({ length: 20 }, (_, i) => (i % 5 ? 4 : 15))
  expect(fallenOf(row([...wide, 12, 13, 14]), 100)).toBeNull()
  // One in twenty was as low: that happens.
  const once = Array.from({ length: 20 }, (_, i) => (i === 7 ? 15 : 4))
  expect(fallenOf(row([...once, 12, 13, 14]), 100)).not.toBeNull()
})

test('nothing is said of too few looks, of old ones, and of what was hardly ever found', () => {
  expect(fallenOf([], 100)).toBeNull()
  expect(fallenOf(row([4, 4, 4, 4, 4, 12, 12, 12]), 100)).toBeNull()
  expect(fallenOf(row([4, 4, 4, 4, 4, 4, 12, 12, 12]), 100)).not.toBeNull()
  expect(fallenOf(row([...steady, 11, 13, 12], 60), 100)).toBeNull()
  const beyond = Array.from({ length: 20 }, () => null)
  expect(fallenOf(row([...beyond, null, null, null]), 100)).toBeNull()
})

test('ranks that only go up and down say they fell about once in a thousand days', () => {
  let told = 0
  const worlds = 4000
  for (let world = 0; world < worlds; world++) {
    const chance = seeded(world + 1)
    if (fallenOf(row(Array.from({ length: 31 }, () => 1 + Math.floor(chance() * 20))), 100)) told++
  }
  expect(told / worlds).toBeLessThan(0.005)
})

test('what a fall costs: searches times the shares that look at both ranks; beyond what was read at least so much', () => {
  const fall = { from: 5, to: 12, depth: 60, since: 98 }
  expect(lostBy(fall, 1000, SHARES)).toBeCloseTo(1000 * (SHARES[4]! - SHARES[11]!), 9)
  expect(lostBy({ ...fall, to: null }, 1000, SHARES)).toBeCloseTo(1000 * (SHARES[4]! - SHARES[59]!), 9)
  expect(lostBy(fall, null, SHARES)).toBeNull()
  expect(lostBy(fall, 0, SHARES)).toBe(0)
})

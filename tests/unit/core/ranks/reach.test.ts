import { reachOf, reachOverTime, type Aimed } from '../../../../core/ranks/reach'
import { seeded } from '../../../../core/random'

/** A channel that wins what is easier than its reach, mostly; each video a little better or worse. */
function aimedBy(seed: number, reach: number, videos: number, phrases: number): Aimed[] {
  const chance = seeded(seed)
  const normal = () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())
  return Array.from({ length: videos }, (_, video) => {
    const luck = 5 * normal()
    return Array.from({ length: phrases }, () => {
      const difficulty = 10 + 70 * chance()
      const won = chance() < 1 / (1 + Math.exp((difficulty - reach - luck) / 6))
      return { video: String(video), difficulty, won, at: video }
    })
  }).flat()
}

test('the interval holds the reach in about 80 of 100 channels, and narrows with more videos', () => {
  let held = 0
  const WORLDS = 200
  for (let seed = 1; seed <= WORLDS; seed++) {
    const reach = 20 + (seed % 50)
    const { low, high } = reachOf(aimedBy(seed, reach, 12, 5))!
    if (low <= reach && reach <= high) held++
  }
  expect(held / WORLDS).toBeGreaterThanOrEqual(0.74)
  expect(held / WORLDS).toBeLessThanOrEqual(0.93)
  const width = (videos: number) => {
    const { low, high } = reachOf(aimedBy(1, 40, videos, 5))!
    return high - low
  }
  expect(width(100)).toBeLessThan(width(8))
})

test('few videos tell nothing, however many phrases they have', () => {
  expect(reachOf(aimedBy(1, 40, 4, 50))).toBeNull()
  expect(reachOf([])).toBeNull()
})

test('where all was won or none, it says so by a wide interval, and stays within 0 and 100', () => {
  const all = aimedBy(1, 40, 8, 3).map(each => ({ ...each, won: true }))
  const hardest = Math.max(...all.map(({ difficulty }) => difficulty))
  const won = reachOf(all)!
  expect(won.high).toBe(100)
  expect(won.reach).toBeGreaterThan(hardest - 10)
  const none = reachOf(all.map(each => ({ ...each, won: false })))!
  expect(none.low).toBe(0)
  expect(none.reach).toBeLessThan(40)
})

test('how it grew: as it stood by then', () => {
  const early = aimedBy(1, 25, 10, 4)
  const late = aimedBy(2, 60, 30, 4).map(each => ({ ...each, video: `late ${each.video}`, at: each.at + 100 }))
  const found = reachOverTime([...early, ...late], [3, 50, 200])
  expect(found.map(({ at }) => at)).toEqual([50, 200])
  expect(found[1]!.reach.reach).toBeGreaterThan(found[0]!.reach.reach)
  expect(found[0]!.reach).toMatchObject({ videos: 10, phrases: 40 })
})

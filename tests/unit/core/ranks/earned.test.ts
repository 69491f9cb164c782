import { earnedOf, type EarningVideo } from '../../../../core/ranks/earned'
import { finished } from '../finished'
import { seeded } from '../../../../core/random'
import { splitCount } from '../../../../core/statistics/countFactors'

const { floor, exp } = Math

const earned = (videos: readonly EarningVideo[], seed?: number) => finished(earnedOf(videos, seed))

/** A world where views bring what they bring by intent and place, and each video by itself a little more or less. */
function world(random: () => number, { uneven = 0.3 } = {}): { videos: EarningVideo[]; rate: Map<string, number> } {
  const rate = new Map<string, number>()
  for (const [intent, a] of [
    ['hire', 3],
    ['do', 0.4],
    ['learn', 0.2],
    ['buy', 1.5],
  ] as const)
    for (const [place, b] of [
      ['', 1],
      ['marrowby', 1.6],
    ] as const)
      rate.set(`${intent} ${place}`, 0.004 * a * b)
  const kinds = [...rate.keys()]
  const videos = Array.from({ length: 30 }, (_, v): EarningVideo => {
    const ways = Array.from({ length: 1 + floor(random() * 4) }, (_way, w) => {
      const [intent, place] = kinds[floor(random() * kinds.length)]!.split(' ') as [string, string]
      return { phrase: `phrase ${v} ${w}`, intent, place, views: floor(exp(3 + random() * 4)) }
    })
    const own = exp((random() + random() + random() - 1.5) * 2 * uneven)
    const mean = own * ways.reduce((sum, { views, intent, place }) => sum + views * rate.get(`${intent} ${place}`)!, 0)
    return { id: `v${v}`, count: poisson(mean, random), ways }
  })
  return { videos, rate }
}
function poisson(mean: number, random: () => number): number {
  let [n, p] = [0, random()]
  for (const least = exp(-mean); p > least; n++) p *= random()
  return n
}

test('what is not known to have views tells nothing', () => {
  expect(earned([])).toBeNull()
  expect(earned([{ id: 'a', count: 3, ways: [] }])).toBeNull()
})

test('of one phrase and one video it is the count by the views, as surely as the count allows', () => {
  const way = { phrase: 'bike repair', intent: 'hire', place: '', views: 1000 }
  const found = earned([{ id: 'a', count: 20, ways: [way] }])!
  expect(found.phrases).toHaveLength(1)
  const [line] = found.phrases
  expect(line).toMatchObject({
    phrase: 'bike repair',
    views: 1000,
    videos: ['a'],
    count: { value: 20, low: 20, high: 20 },
  })
  // Gamma(20.5) by 1,000 views: .0205, 95 % from .0126 to .0302.
  expect(line!.rate.value).toBeCloseTo(0.0205, 3)
  expect(line!.rate.low).toBeGreaterThan(0.011)
  expect(line!.rate.low).toBeLessThan(0.0145)
  expect(line!.rate.high).toBeGreaterThan(0.027)
  expect(line!.rate.high).toBeLessThan(0.034)
})

test('nothing that came is no proof that nothing comes', () => {
  const found = earned([{ id: 'a', count: 0, ways: [{ phrase: 'x', intent: '', place: '', views: 100 }] }])!
  expect(found.phrases[0]!.count).toEqual({ value: 0, low: 0, high: 0 })
  expect(found.rate.value).toBeGreaterThan(0)
  expect(found.rate.high).toBeGreaterThan(0.01)
})

test('the parts of phrases add up to what was counted, and the same input gives the same answer', () => {
  const { videos } = world(seeded(3))
  const found = earned(videos)!
  const sum = found.phrases.reduce((all, { count }) => all + count.value, 0)
  expect(sum).toBeCloseTo(
    videos.reduce((all, { count }) => all + count, 0),
    6,
  )
  expect(found.groups.reduce((all, { count }) => all + count.value, 0)).toBeCloseTo(sum, 6)
  expect(earned(videos)).toEqual(found)
})

test('a view of another kind is told apart, also where one video has several', () => {
  const at = (id: string, hire: number, learn: number, count: number): EarningVideo => ({
    id,
    count,
    ways: [
      { phrase: 'bike repair near me', intent: 'hire', place: '', views: hire },
      { phrase: 'how a derailleur works', intent: 'learn', place: '', views: learn },
    ],
  })
  const found = earned([at('a', 1000, 100, 50), at('b', 100, 1000, 6), at('c', 500, 500, 26), at('d', 50, 2000, 3)])!
  expect(found.intents.map(({ intent, views }) => [intent, views])).toEqual([
    ['hire', 1650],
    ['learn', 3600],
  ])
  const [hire, learn] = found.intents
  expect(hire!.rate.low).toBeGreaterThan(learn!.rate.high)
  const rates = new Map(found.phrases.map(({ phrase, rate }) => [phrase, rate.value]))
  expect(rates.get('bike repair near me')! / rates.get('how a derailleur works')!).toBeGreaterThan(8)
})

test('an intent of few views is drawn towards the usual rate', () => {
  const video = (id: string, intent: string, views: number, count: number): EarningVideo => ({
    id,
    count,
    ways: [{ phrase: id, intent, place: '', views }],
  })
  const found = earned([
    video('a', 'do', 2000, 20),
    video('b', 'learn', 2000, 22),
    video('c', 'buy', 2000, 18),
    video('d', 'hire', 10, 2),
  ])!
  const few = found.phrases.find(({ phrase }) => phrase === 'd')!.rate
  expect(few.value).toBeGreaterThan(0.01)
  expect(few.value).toBeLessThan(0.08)
  expect(few.low).toBeLessThan(0.02)
})

test('intervals hold what is true in about 95 of 100 worlds', () => {
  let [held, all] = [0, 0]
  for (let seed = 1; seed <= 30; seed++) {
    const { videos, rate } = world(seeded(seed * 7919))
    const found = earned(videos, seed)!
    for (const group of found.groups) {
      // The middle of the factors of videos is e to the 0, their mean a little more.
      const truth = rate.get(`${group.intent} ${group.place}`)!
      if (group.rate.low <= truth && truth <= group.rate.high) held++
      all++
    }
  }
  expect(held / all).toBeGreaterThan(0.9)
})

test('a whole count is divided whole', () => {
  const random = seeded(9)
  const parts = new Float64Array(5)
  const split = (count: number) => {
    splitCount(count, [9, 5, 0, 1, 4], parts, 1, 5, random)
    return [...parts]
  }
  for (const count of [0, 1, 7, 39, 41, 1000, 250_000]) {
    const [before, first, second, ...rest] = split(count)
    expect([before, second]).toEqual([0, 0])
    expect([first!, ...rest].reduce((sum, part) => sum + part, 0)).toBe(count)
    expect([first!, ...rest].every(part => Number.isInteger(part) && part >= 0)).toBe(true)
  }
  expect(split(250_000)[1]! / 250_000).toBeCloseTo(0.5, 2)
})

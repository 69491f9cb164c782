import { seeded } from '../../../../core/random'
import type { ComparedDay } from '../../../../core/ranks/sides'
import { drawTrial, lately, LEAST_PAIRS, trialOutcome, visibleTimes } from '../../../../core/ranks/trial'

// At every step `Math` would take most of the time, as the runner guards the global object.
const { abs, cos, exp, log, max, PI, round, sin, sqrt } = Math
const TODAY = 20_000
const RELEASED = TODAY - 500
const LENGTH = 28

/** Days of a channel's videos until a day: a season, a week's rhythm, days like their neighbours, drifts. */
function channel(seed: number, videos: number, until: number) {
  const chance = seeded(seed)
  const normal = () => sqrt(-2 * log(1 - chance())) * cos(2 * PI * chance())
  return Array.from({ length: videos }, (_, i) => {
    const level = 5 * exp(1.5 * abs(normal()))
    const drift = 0.008 * normal()
    let near = 0
    const days: ComparedDay[] = []
    for (let day = TODAY - 2 * LENGTH - 2; day < until; day++) {
      near = 0.6 * near + 0.25 * normal()
      const season = 0.4 * sin((day + seed) / 11) + 0.2 * sin((2 * PI * day) / 7)
      const expected = level * exp(season + drift * (day - TODAY) + near)
      const views = max(0, round(expected + sqrt(expected) * normal()))
      days.push({ day, views, search: views, impressions: 20 * views, clicks: views, watchedSeconds: null })
    }
    return { video: `v${i}`, days, chance }
  })
}
const times = (days: readonly ComparedDay[], from: number, by: number) =>
  days.map(each => (each.day > from ? { ...each, views: round(each.views! * by) } : each))

/** A trial from the draw to its answer. */
function tried(seed: number, videos: number, by: number) {
  const WAVES = 3
  const until = TODAY + (WAVES - 1) * 7 + LENGTH + 2
  const made = channel(seed, videos, until)
  const daysOf = new Map(made.map(({ video, days }) => [video, days]))
  const levels = made.flatMap(({ video, days }) => {
    const done = lately(days, 'views', RELEASED, TODAY, LENGTH)
    return done ? [{ video, ...done }] : []
  })
  const pairs = drawTrial(levels, WAVES, seeded(seed * 31))
  const outcome = trialOutcome(
    pairs.map(({ changed, kept, wave }) => {
      const day = TODAY + wave * 7
      return { day, changed: times(daysOf.get(changed)!, day, by), kept: daysOf.get(kept)! }
    }),
    'views',
    LENGTH,
  )
  return { outcome, pairs, visible: visibleTimes(levels, pairs.length) }
}

test('where nothing was changed, the interval holds 1 in 90 to 98 of 100 worlds', () => {
  const WORLDS = 400
  let held = 0
  for (let seed = 1; seed <= WORLDS; seed++) {
    const { state, effect } = tried(seed, 16 + (seed % 30), 1).outcome
    const holds = effect!.low <= 1 && effect!.high >= 1
    expect(state === 'unclear').toBe(holds)
    if (holds) held++
  }
  expect(held / WORLDS).toBeGreaterThanOrEqual(0.9)
  expect(held / WORLDS).toBeLessThanOrEqual(0.98)
})

test('what it said beforehand that it would show, it shows about four times in five, and the truth lies inside', () => {
  const WORLDS = 200
  let [shown, held] = [0, 0]
  for (let seed = 1; seed <= WORLDS; seed++) {
    const { visible } = tried(seed + 1000, 40, 1)
    const { state, effect } = tried(seed + 1000, 40, visible!).outcome
    if (state === 'more') shown++
    if (effect!.low <= visible! && effect!.high >= visible!) held++
  }
  expect(shown / WORLDS).toBeGreaterThanOrEqual(0.7)
  expect(shown / WORLDS).toBeLessThanOrEqual(0.9)
  expect(held / WORLDS).toBeGreaterThanOrEqual(0.9)
})

test('of each two alike one is changed, each as likely, and waves are of one size', () => {
  const videos = Array.from({ length: 21 }, (_, i) => ({ video: `v${i}`, level: 100 - i }))
  const count = new Map<string, number>()
  for (let seed = 0; seed < 400; seed++) {
    const pairs = drawTrial(videos, 3, seeded(seed))
    expect(pairs).toHaveLength(10)
    for (const { changed, kept } of pairs) {
      const [a, b] = [Number(changed.slice(1)), Number(kept.slice(1))].sort((x, y) => x - y) as [number, number]
      expect(b - a).toBe(1)
      expect(a % 2).toBe(0)
      count.set(changed, (count.get(changed) ?? 0) + 1)
    }
    expect([0, 1, 2].map(wave => pairs.filter(pair => pair.wave === wave).length)).toEqual([4, 3, 3])
  }
  // The smallest of an odd number takes no part.
  expect(count.has('v20')).toBe(false)
  for (const times of count.values()) expect(abs(times - 200)).toBeLessThan(45)
})

test('a draw is the same again with the same numbers', () => {
  const videos = Array.from({ length: 14 }, (_, i) => ({ video: `v${i}`, level: (i * 37) % 11 }))
  expect(drawTrial(videos, 2, seeded(5))).toEqual(drawTrial([...videos].reverse(), 2, seeded(5)))
})

test('what is too young or not known takes no part, and too few pairs tell nothing', () => {
  const [one] = channel(3, 1, TODAY)
  expect(lately(one!.days, 'views', RELEASED, TODAY, LENGTH)).not.toBeNull()
  expect(lately(one!.days, 'views', TODAY - 2 * LENGTH - 1 - 27, TODAY, LENGTH)).toBeNull()
  expect(lately(one!.days.slice(0, 40), 'views', RELEASED, TODAY, LENGTH)).toBeNull()
  const nobody = one!.days.map(each => ({ ...each, views: 0 }))
  expect(lately(nobody, 'views', RELEASED, TODAY, LENGTH)).toBeNull()
  expect(
    visibleTimes(
      [one, one].map(() => ({ drift: 0.1, noise: 0 })),
      LEAST_PAIRS - 1,
    ),
  ).toBeNull()
  const few = channel(4, 10, TODAY + LENGTH + 2)
  const pairs = Array.from({ length: 5 }, (_, i) => ({
    day: TODAY,
    changed: few[2 * i]!.days,
    kept: few[2 * i + 1]!.days,
  }))
  expect(trialOutcome(pairs, 'views', LENGTH)).toEqual({ state: 'few', pairs: 5, effect: null })
  // A pair whose days are not known is not one that shows nothing.
  const unknown = { day: TODAY, changed: [], kept: few[0]!.days }
  expect(trialOutcome([...pairs, unknown], 'views', LENGTH).pairs).toBe(5)
})

test('videos that go on evenly by chance promise no more than their counts can show', () => {
  // Ten views before and ten after: √(1/10.5 + 1/10.5) is the least that one differs by.
  const even = Array.from({ length: 20 }, () => ({ drift: 0, noise: 2 / 10.5 }))
  const [few, many] = [visibleTimes(even, 10)!, visibleTimes(even, 100)!]
  expect(few).toBeGreaterThan(1.6)
  expect(many).toBeLessThan(few)
  expect(many).toBeGreaterThan(1.15)
})

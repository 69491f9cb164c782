import { beforeAfter, type Change } from '../../../../core/ranks/beforeAfter'
import type { Compared, ComparedDay } from '../../../../core/ranks/sides'
import { seeded } from '../../../../core/random'
import { studentQuantile } from '../../../../core/statistics/student'

// At every step `Math` would take most of the time, as the runner guards the global object.
const { cos, exp, log, max, PI, round, sin, sqrt } = Math
const TODAY = 20_000
const DAY_OF_CHANGE = TODAY - 40
const RELEASED = TODAY - 400

/** Days of a channel's videos: a week's rhythm, days that resemble their neighbours, and a drift of each one's own. */
function world(seed: number, videos: number, planted = 1) {
  const chance = seeded(seed)
  const normal = () => sqrt(-2 * log(1 - chance())) * cos(2 * PI * chance())
  // What happens to all of them: a holiday, a season.
  const shared = Array.from({ length: 120 }, (_, i) => 0.3 * sin((i + seed) / 9))
  const one = (times: number): ComparedDay[] => {
    const level = 20 + 300 * chance()
    const drift = 0.006 * normal()
    let near = 0
    return Array.from({ length: 120 }, (_, i) => {
      const day = TODAY - 120 + i
      near = 0.6 * near + 0.2 * normal()
      const weekday = 0.25 * sin((2 * PI * day) / 7)
      const expected = level * exp(shared[i]! + drift * (i - 80) + weekday + near) * (day > DAY_OF_CHANGE ? times : 1)
      const views = max(0, round(expected + sqrt(expected) * normal()))
      return { day, views, search: round(views / 2), impressions: 20 * views, clicks: views, watchedSeconds: null }
    })
  }
  return { own: one(planted), others: Array.from({ length: videos }, () => one(1)) }
}
const CHANGE: Change = { day: DAY_OF_CHANGE, previous: null, next: null }
const compare = (
  { own, others }: ReturnType<typeof world>,
  what: Compared = 'views',
  change = CHANGE,
  released = RELEASED,
  today = TODAY,
) => beforeAfter(own, others, change, what, released, today)

test('where nothing was changed, the interval holds 1 in 90 to 98 of 100 worlds', () => {
  const WORLDS = 300
  let held = 0
  for (let seed = 1; seed <= WORLDS; seed++) {
    const { effect } = compare(world(seed, 6 + (seed % 15)))
    if (effect!.low <= 1 && effect!.high >= 1) held++
  }
  expect(held / WORLDS).toBeGreaterThanOrEqual(0.9)
  expect(held / WORLDS).toBeLessThanOrEqual(0.98)
})

test('a change that trebles views is found, and how much it did lies in the interval mostly', () => {
  const WORLDS = 100
  let [found, held] = [0, 0]
  for (let seed = 1; seed <= WORLDS; seed++) {
    const { state, effect } = compare(world(seed + 5000, 12, 3))
    if (state === 'more') found++
    if (effect!.low <= 3 && effect!.high >= 3) held++
  }
  expect(found / WORLDS).toBeGreaterThanOrEqual(0.8)
  expect(held / WORLDS).toBeGreaterThanOrEqual(0.9)
})

const even = (views: (day: number) => number | null): ComparedDay[] =>
  Array.from({ length: 120 }, (_, i) => {
    const day = TODAY - 120 + i
    return { day, views: views(day), search: null, impressions: 1000, clicks: views(day), watchedSeconds: null }
  })
const steady = Array.from({ length: 6 }, () => even(() => 100))

test('by hand: half as many, beside others that went on', () => {
  const own = even(day => (day > DAY_OF_CHANGE ? 50 : 100))
  const found = beforeAfter(own, steady, CHANGE, 'views', RELEASED, TODAY)
  expect(found).toMatchObject({ days: 28, controls: 6, state: 'less', from: null })
  // Sums of 28 days and half a view: (1400.5 / 28.5) / (2800.5 / 28.5).
  expect(found.effect!.times).toBeCloseTo(1400.5 / 2800.5, 10)
  // Days and other videos are all alike: nothing is left to chance.
  expect(found.effect!.low).toBeCloseTo(found.effect!.times, 10)
  // The others fell as much: it was not the change.
  const fell = Array.from({ length: 6 }, () => own)
  expect(beforeAfter(own, fell, CHANGE, 'views', RELEASED, TODAY).effect!.times).toBeCloseTo(1, 10)
  expect(beforeAfter(own, steady, CHANGE, 'clickRate', RELEASED, TODAY).effect!.times).toBeCloseTo(0.5, 2)
})

test('nothing is said too early, of a young video, with few others, or of days that are not known', () => {
  const own = even(() => 100)
  const say = (more: Partial<Change>, released = RELEASED, today = TODAY) =>
    beforeAfter(own, steady, { ...CHANGE, ...more }, 'views', released, today)
  expect(say({ day: TODAY - 5 })).toMatchObject({ state: 'early', effect: null, from: TODAY - 5 + 8 })
  expect(say({ day: TODAY - 8 })).toMatchObject({ days: 7, effect: expect.anything() as unknown })
  expect(say({ day: TODAY - 7 })).toMatchObject({ state: 'early' })
  expect(say({}, DAY_OF_CHANGE - 20)).toMatchObject({ state: 'young', effect: null })
  // Another change of it shortens what can be compared, or leaves nothing.
  expect(say({ previous: DAY_OF_CHANGE - 16 })).toMatchObject({ days: 14 })
  expect(say({ next: DAY_OF_CHANGE + 3 })).toMatchObject({ state: 'no-days' })
  expect(say({ previous: DAY_OF_CHANGE - 3 })).toMatchObject({ state: 'no-days' })
  const told = beforeAfter(own, steady.slice(1, 5), CHANGE, 'views', RELEASED, TODAY)
  expect(told).toMatchObject({ state: 'few-videos', controls: 4, effect: null })
  const gaps = even(day => (day % 2 ? null : 100))
  expect(beforeAfter(gaps, steady, CHANGE, 'views', RELEASED, TODAY)).toMatchObject({ state: 'no-days', effect: null })
  expect(beforeAfter(own, steady, CHANGE, 'search', RELEASED, TODAY)).toMatchObject({ state: 'no-days' })
  // Nobody watched it: nothing is known of what the change did, and it is not called nothing.
  expect(
    beforeAfter(
      even(() => 0),
      steady,
      CHANGE,
      'views',
      RELEASED,
      TODAY,
    ),
  ).toMatchObject({ effect: null })
})

test('Student’s t', () => {
  expect(studentQuantile(0.975, 5)).toBeCloseTo(2.5706, 3)
  expect(studentQuantile(0.95, 30)).toBeCloseTo(1.6973, 3)
})

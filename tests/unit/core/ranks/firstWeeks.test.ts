import { compareFirstWeeks, type FunnelStep, type VideoDays } from '../../../../core/ranks/firstWeeks'
import { seeded } from '../../../../core/random'

const TODAY = 20_000
/** A channel whose videos differ as those of a real one do, by a normal deviation in logarithms each. */
function channel(seed: number, videos: number) {
  const chance = seeded(seed)
  const normal = () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())
  const usual = { shown: 400 + 4000 * chance(), clicked: 0.03 + 0.05 * chance(), watched: 0.3 + 0.3 * chance() }
  const one = (
    planted: FunnelStep | null,
    by: number,
    released = TODAY - 40 - Math.floor(300 * chance()),
  ): VideoDays => {
    const times = (step: FunnelStep) => (step === planted ? by : 1)
    const shown = usual.shown * Math.exp(0.6 * normal()) * times('shown')
    const clicked = Math.min(0.5, usual.clicked * Math.exp(0.25 * normal()) * times('clicked'))
    const watched = Math.min(0.95, usual.watched * Math.exp(0.15 * normal()) * times('watched'))
    const seconds = Math.round(240 + 600 * chance())
    const days = Array.from({ length: 40 }, (_, i) => {
      const impressions = Math.max(0, Math.round(shown * (0.4 + 0.6 / (1 + i)) * Math.exp(0.2 * normal())))
      const clicks = Math.max(0, Math.round(impressions * clicked + Math.sqrt(impressions * clicked) * normal()))
      const views = Math.round(1.2 * clicks)
      return {
        day: released + i,
        impressions,
        clicks: Math.min(clicks, impressions),
        views,
        watchedSeconds: Math.round(views * seconds * watched),
      }
    })
    return { released, seconds, days }
  }
  return { one, others: Array.from({ length: videos }, () => one(null, 1)) }
}

describe('a planted cause is named', () => {
  const PLANTED: [FunnelStep, number][] = [
    ['shown', 0.2],
    ['clicked', 0.45],
    ['watched', 0.6],
  ]
  const WORLDS = 200
  test.each(PLANTED)('%s times %d, in at least 80 of 100 channels', (step, by) => {
    let right = 0
    for (let seed = 1; seed <= WORLDS; seed++) {
      const { one, others } = channel(seed, 12 + (seed % 20))
      if (compareFirstWeeks(one(step, by), others, TODAY).cause === step) right++
    }
    expect(right / WORLDS).toBeGreaterThanOrEqual(0.8)
  })
  test('and none where nothing was planted, but in few', () => {
    let named = 0
    for (let seed = 1; seed <= WORLDS; seed++) {
      const { one, others } = channel(seed + 10_000, 12 + (seed % 20))
      if (compareFirstWeeks(one(null, 1), others, TODAY).cause) named++
    }
    expect(named / WORLDS).toBeLessThanOrEqual(0.2)
  })
})

const even = (released: number, clicks: number, more: Partial<VideoDays> = {}): VideoDays => ({
  released,
  seconds: 100,
  days: Array.from({ length: 60 }, (_, i) => ({
    day: released + i,
    impressions: 1000,
    clicks,
    views: clicks,
    watchedSeconds: clicks * 50,
  })),
  ...more,
})

test('by hand: half as many clicks as the median of the others', () => {
  const others = [80, 90, 100, 110, 120].map(clicks => even(TODAY - 90, clicks))
  const { steps, cause, days } = compareFirstWeeks(even(TODAY - 50, 50), others, TODAY)
  expect(days).toBe(28)
  const clicked = steps.find(({ step }) => step === 'clicked')!
  expect(clicked).toMatchObject({ own: 0.05, of: 5, below: true })
  expect(clicked.usual).toBeCloseTo(0.1, 10)
  expect(clicked.ratio).toBeCloseTo(0.5, 10)
  // The median of |ln(x / 100)| is ln(100 / 90) = .1054; × 1.4826 = .1562; 1,400 clicks: 1 / √1400 = .0267.
  expect(clicked.deviations).toBeCloseTo(Math.log(0.5) / Math.hypot(0.1562, 0.0267), 2)
  expect(clicked.low).toBeLessThan(0.5)
  expect(clicked.high).toBeGreaterThan(0.5)
  expect(steps.find(({ step }) => step === 'watched')).toMatchObject({ own: 0.5, ratio: 1, below: false })
  expect(cause).toBe('clicked')
})

test('the age is the same: a young video is compared with the first days of the others', () => {
  const others = [1, 2, 3, 4, 5].map(i => even(TODAY - 100 * i, 100))
  expect(compareFirstWeeks(even(TODAY - 7, 100), others, TODAY)).toMatchObject({ days: 7, cause: null, unknown: null })
  expect(compareFirstWeeks(even(TODAY - 2, 100), others, TODAY)).toMatchObject({ unknown: 'too-early', steps: [] })
  // One that is younger than the video says nothing of this age.
  expect(
    compareFirstWeeks(
      even(TODAY - 30, 100),
      others.map(other => ({ ...other, released: TODAY - 20 })),
      TODAY,
    ),
  ).toMatchObject({
    unknown: 'few-videos',
  })
})

test('what is not known is not 0', () => {
  const others = [1, 2, 3, 4, 5].map(i => even(TODAY - 100 * i, 100))
  const without = (key: 'impressions' | 'clicks' | 'watchedSeconds') =>
    even(TODAY - 50, 100, { days: even(TODAY - 50, 100).days.map(day => ({ ...day, [key]: null })) })
  const stepsOf = (own: VideoDays) => compareFirstWeeks(own, others, TODAY).steps.map(({ step }) => step)
  expect(stepsOf(without('impressions'))).toEqual(['watched'])
  expect(stepsOf(without('clicks'))).toEqual(['shown', 'watched'])
  expect(stepsOf(without('watchedSeconds'))).toEqual(['shown', 'clicked'])
  expect(stepsOf(even(TODAY - 50, 100, { seconds: null }))).toEqual(['shown', 'clicked'])
  expect(compareFirstWeeks(even(TODAY - 50, 100, { days: [] }), others, TODAY)).toMatchObject({ unknown: 'no-days' })
  // A week of four says nothing of the four.
  const week = even(TODAY - 50, 100, { days: even(TODAY - 50, 100).days.slice(0, 7) })
  expect(compareFirstWeeks(week, others, TODAY).unknown).toBe('no-days')
  expect(compareFirstWeeks(even(TODAY - 50, 100), others.slice(1), TODAY).unknown).toBe('few-videos')
})

test('few counts are not called low by chance', () => {
  const few = (released: number, clicks: number) =>
    even(released, 0, {
      days: Array.from({ length: 28 }, (_, i) => ({
        day: released + i,
        impressions: i === 0 ? 40 : 0,
        clicks: i === 0 ? clicks : 0,
        views: clicks,
        watchedSeconds: clicks * 50,
      })),
    })
  const others = [1, 2, 3, 4, 5, 6].map(i => few(TODAY - 100 * i, 3))
  expect(
    compareFirstWeeks(few(TODAY - 50, 1), others, TODAY).steps.find(({ step }) => step === 'clicked'),
  ).toMatchObject({
    below: false,
  })
})

import { everyDay, spanOf, type SourcedDay } from '../../../../core/ranks/span'

const day = (of: number, more: Partial<SourcedDay> = {}): SourcedDay => ({
  day: of,
  impressions: null,
  clicks: null,
  views: null,
  watchedSeconds: null,
  search: null,
  suggested: null,
  subscribers: null,
  web: null,
  elsewhere: null,
  ...more,
})

test('sums are of the days that are known, each by itself, and say of how many', () => {
  const found = spanOf(
    [
      day(1, { views: 100 }),
      day(8, { views: 7, impressions: 50, search: 4, web: 0 }),
      day(10, { views: 3, impressions: 20, clicks: 5, search: 1, suggested: 15, watchedSeconds: 60 }),
    ],
    [
      { day: 1, name: 'forum.example', views: 90 },
      { day: 8, name: 'forum.example', views: 2 },
      { day: 10, name: 'forum.example', views: 3 },
      { day: 10, name: 'club.example', views: 9 },
    ],
    7,
  )
  expect(found).toMatchObject({
    days: 3,
    views: { sum: 10, days: 2 },
    // Shown on days without clicks counts as shown, but not for the rate.
    impressions: { sum: 70, days: 2 },
    clickRate: { clicks: 5, impressions: 20 },
    watchedSeconds: { sum: 60, days: 1 },
    sources: [
      { source: 'suggested', sum: 15, days: 1, part: 0.75 },
      { source: 'search', sum: 5, days: 2, part: 0.25 },
      { source: 'web', sum: 0, part: 0 },
    ],
    referrers: [
      { name: 'club.example', views: 9 },
      { name: 'forum.example', views: 5 },
    ],
  })
  expect(found.within).toHaveLength(2)
})

test('what nobody told is null, and no share is made of it', () => {
  expect(spanOf([], [], 28)).toMatchObject({ days: 0, views: null, clickRate: null, sources: [], referrers: [] })
  expect(spanOf([day(3, { search: 0 })], [], 28)).toMatchObject({ views: null, sources: [{ sum: 0, part: null }] })
})

test('days in between of which nothing is known are there, unknown', () => {
  expect(everyDay([day(3), day(5)]).map(({ day: of, known }) => [of, known !== null])).toEqual([
    [3, true],
    [4, false],
    [5, true],
  ])
  expect(everyDay([])).toEqual([])
})

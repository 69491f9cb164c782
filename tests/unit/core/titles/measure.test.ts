import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED } from '../../../../core/draft/ruleset'
import { measureTitles } from '../../../../core/titles/measure'

const measure = (titles: string[], pageTitles: string[] = []) =>
  measureTitles({
    titles,
    phrases: { lead: 'clean bike chain', support: ['wax bike chain', 'bike chain'] },
    language: 'en',
    ruleSet: BALANCED,
    profile: DEFAULT_PROFILE,
    pageTitles,
  })

test('each title with its points, length, cuts, lead and phrases', () => {
  const long = `Clean bike chain ${'and more of it '.repeat(8)}`.trim()
  const [good, none, cut] = measure(['How to clean bike chain grease off', 'A film', long])
  expect(good).toMatchObject({
    used: 34,
    limit: 100,
    lead: { grade: 'exact', start: 7 },
    holds: 2,
    phrases: 3,
    closest: null,
  })
  expect(good!.shown.phone).toBe(good!.title.length)
  expect(good!.points).toBeGreaterThan(none!.points)
  expect(none).toMatchObject({ lead: null, holds: 0 })
  expect(cut!.used).toBeGreaterThan(100)
  expect(cut!.shown.suggestion).toBeLessThan(cut!.shown.phone)
  expect(cut!.shown.phone).toBeLessThan(long.length)
})

test('the closest title of the page, and an empty title', () => {
  const [close, far, empty] = measure(['Cleaning a bike chain', 'Zebra', ''], ['Bike chain cleaning', 'True a wheel'])
  expect(close!.closest).toEqual({ title: 'Bike chain cleaning', closeness: 1 })
  expect(far!.closest).toBeNull()
  expect(empty).toMatchObject({ used: 0, points: 0, lead: null, closest: null })
})

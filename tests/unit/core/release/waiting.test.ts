import type { Season } from '../../../../core/demand/season'
import { waiting } from '../../../../core/release/waiting'

const shape = (peak: number) => Array.from({ length: 12 }, (_, month) => (month === peak ? 3.2 : 0.8))
const season = (peak: number): Season => ({ strength: 0.9, p: 0, shape: shape(peak), peaks: [peak] })
const steady = { direction: 'steady' as const, yearly: 0 }

test('without months enough nothing is said', () => {
  expect(waiting({ season: null, trend: null }, 3)).toBeNull()
})

test('without a season there is nothing to wait for, and the trend is told', () => {
  expect(waiting({ season: null, trend: { direction: 'fading', yearly: -0.2 } }, 3)).toEqual({
    month: null,
    gain: null,
    text: 'Searched all year round: there is no season to wait for. Fading by 20 % a year.',
  })
})

test('a season that is to come is waited for, with what that brings', () => {
  // In January, with a peak in May: March is the first month whose three hold it.
  const found = waiting({ season: season(4), trend: steady }, 0)!
  expect(found.month).toBe(2)
  expect(found.gain).toBeCloseTo((0.8 + 0.8 + 3.2) / 2.4 - 1)
  expect(found.text).toBe(
    'Searched most in May. A release in March gets 100 % more searches in its first 3 months than one now.',
  )
})

test('in the season, and where it is more than half a year away, nothing is waited for', () => {
  expect(waiting({ season: season(4), trend: steady }, 3)!.month).toBeNull()
  expect(waiting({ season: season(4), trend: steady }, 5)!.month).toBeNull()
  // Half a year before it is within reach: the best of what can be waited for.
  expect(waiting({ season: season(4), trend: steady }, 8)!.month).toBe(2)
})

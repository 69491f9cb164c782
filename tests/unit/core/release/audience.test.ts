import {
  bestHours,
  hoursInZone,
  nextAt,
  weekHour,
  weekHourInWords,
  WEEK_HOURS,
} from '../../../../core/release/audience'

const week = (of: (hour: number) => number) => Array.from({ length: WEEK_HOURS }, (_, hour) => of(hour))
const only = (at: number) => week(hour => (hour === at ? 1 : 0))
const WINTER = Date.UTC(2026, 0, 15)
const SUMMER = Date.UTC(2026, 6, 15)

describe('hours by another clock', () => {
  test('are shifted as clocks were when they were measured', () => {
    // Monday 0:00 UTC is 1:00 in winter and 2:00 in summer.
    expect(hoursInZone(only(0), 'UTC', 'Europe/Berlin', WINTER).indexOf(1)).toBe(1)
    expect(hoursInZone(only(0), 'UTC', 'Europe/Berlin', SUMMER).indexOf(1)).toBe(2)
    // Westwards it is still Sunday.
    expect(hoursInZone(only(0), 'UTC', 'America/New_York', WINTER).indexOf(1)).toBe(6 * 24 + 19)
  })
  test('are parted where a zone lies between hours', () => {
    const there = hoursInZone(only(10), 'UTC', 'Asia/Kolkata', WINTER)
    expect([there[15], there[16]]).toEqual([0.5, 0.5])
    expect(there.reduce((a, b) => a + b)).toBe(1)
  })
  test('there and back is the same, and a zone nobody knows is UTC', () => {
    const hours = week(hour => hour % 7)
    const away = hoursInZone(hours, 'UTC', 'America/Los_Angeles', SUMMER)
    expect(hoursInZone(away, 'America/Los_Angeles', 'UTC', SUMMER)).toEqual(hours)
    expect(hoursInZone(hours, 'UTC', 'Moon/Sea', SUMMER)).toEqual(hours)
  })
})

describe('best hours', () => {
  test('count the hours that follow, and stand apart', () => {
    // Friday 18 to 20 has three times the rest: 18:00 holds all of it.
    const friday = 4 * 24 + 18
    const hours = week(hour => (hour >= friday && hour < friday + 3 ? 3 : 1))
    const mean = (WEEK_HOURS + 6) / WEEK_HOURS
    const [first, ...others] = bestHours(hours)
    expect(first).toEqual({ hour: friday, times: 3 / mean })
    for (const { hour } of others) expect(Math.abs(hour - friday)).toBeGreaterThanOrEqual(3)
  })
  test('there is none in an even week, an empty one, or past the most', () => {
    expect(bestHours(week(() => 4))).toEqual([])
    expect(bestHours(week(() => 0))).toEqual([])
    expect(bestHours(week(hour => (hour % 24 === 18 ? 9 : 1)))).toHaveLength(3)
  })
  test('a week goes round: Sunday night and Monday morning are one evening', () => {
    const hours = week(hour => (hour >= 166 || hour < 1 ? 5 : 1))
    expect(bestHours(hours, 1)[0]!.hour).toBe(166)
  })
})

describe('the next time of an hour', () => {
  test('is by the clock of the zone, on both sides of a change of clocks', () => {
    // Clocks go forward on Sunday 29 March 2026 in London.
    const sunday18 = 6 * 24 + 18
    const before = nextAt(sunday18, 'Europe/London', Date.UTC(2026, 2, 20))
    expect(new Date(before).toISOString()).toBe('2026-03-22T18:00:00.000Z')
    expect(new Date(nextAt(sunday18, 'Europe/London', before + 1)).toISOString()).toBe('2026-03-29T17:00:00.000Z')
    expect(weekHour(before, 'Europe/London')).toBe(sunday18)
  })
  test('may be this very time, and is never before', () => {
    const now = Date.UTC(2026, 2, 23)
    expect(nextAt(0, 'UTC', now)).toBe(now)
    expect(nextAt(0, 'UTC', now + 1)).toBe(now + 7 * 86_400_000)
  })
})

test('an hour in words', () => {
  expect(weekHourInWords(3 * 24 + 9)).toBe('Thursday 09:00')
})

import { bringsOf } from '../../../../core/ranks/brings'
import { dayName, rankDay, standingOf, type RankDay } from '../../../../core/ranks/standing'
import { SHARES } from '../../../../core/rivals/winnings'

const day = (day: number, rank: number | null, depth = 60): RankDay => ({ day, rank, depth })

describe('how a video stands', () => {
  test('now, at its best, and against a week and four weeks before', () => {
    const days = [day(70, 31), day(91, 12), day(93, 4), day(98, 7)]
    expect(standingOf(days)).toEqual({
      now: day(98, 7),
      best: day(93, 4),
      week: { from: day(91, 12), by: 5 },
      month: { from: day(70, 31), by: 24 },
    })
  })
  test('a day some time before stands for the one that was missed; one long before does not', () => {
    expect(standingOf([day(89, 9), day(98, 7)])!.week).toEqual({ from: day(89, 9), by: 2 })
    expect(standingOf([day(87, 9), day(98, 7)])!.week).toBeNull()
    expect(standingOf([day(95, 9), day(98, 7)])!.week).toBeNull()
  })
  test('beyond what was read is no rank, and by how much it changed is not known', () => {
    const standing = standingOf([day(91, null), day(98, 7)])!
    expect(standing).toMatchObject({ best: day(98, 7), week: { from: day(91, null), by: null } })
    expect(standingOf([day(91, 3), day(98, null)])).toMatchObject({
      now: { rank: null },
      best: day(91, 3),
      week: { by: null },
    })
    expect(standingOf([day(98, null)])!.best).toBeNull()
    expect(standingOf([])).toBeNull()
  })
  test('of two equal ranks the first one is the best: since then it did not get better', () => {
    expect(standingOf([day(1, 4), day(2, 4)])!.best).toEqual(day(1, 4))
  })
  test('days are those of UTC', () => {
    expect(dayName(rankDay(Date.UTC(2026, 10, 28, 23, 59)))).toBe('2026-11-28')
    expect(dayName(rankDay(Date.UTC(2026, 10, 29)))).toBe('2026-11-29')
  })
})

describe('what a rank brings', () => {
  test('is its share of the searches, and one more seat the difference', () => {
    expect(bringsOf(1000, 2, SHARES)).toEqual({
      now: 1000 * SHARES[1]!,
      more: 1000 * (SHARES[0]! - SHARES[1]!),
    })
    expect(bringsOf(1000, 1, SHARES)!.more).toBeNull()
  })
  test('a first place for what nobody searches brings nothing; what is unknown is unknown', () => {
    expect(bringsOf(0, 1, SHARES)).toEqual({ now: 0, more: null })
    expect(bringsOf(null, 1, SHARES)).toBeNull()
    expect(bringsOf(1000, null, SHARES)).toBeNull()
  })
})

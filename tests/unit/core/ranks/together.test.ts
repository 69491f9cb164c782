import { standTogether, swapsOf } from '../../../../core/ranks/together'
import type { RankDay } from '../../../../core/ranks/standing'
import { SHARES } from '../../../../core/rivals/winnings'

const days = (...ranks: (number | null)[]): RankDay[] => ranks.map((rank, i) => ({ day: 100 + i, rank, depth: 60 }))

test('two change places where their order does, on days on which both were seen', () => {
  expect(swapsOf(days(3, 5, 3, 5), days(4, 4, 4, 4))).toEqual({ swaps: 3, days: 4 })
  expect(swapsOf(days(3, 3, 3), days(4, 4, 4))).toEqual({ swaps: 0, days: 3 })
  expect(swapsOf(days(3, null, 3), days(4, 4, 4))).toEqual({ swaps: 2, days: 3 })
  expect(swapsOf(days(null, null), days(null, null))).toEqual({ swaps: 0, days: 0 })
  expect(swapsOf(days(3), [{ day: 7, rank: 1, depth: 60 }])).toEqual({ swaps: 0, days: 0 })
  expect(swapsOf([], days(1))).toEqual({ swaps: 0, days: 0 })
})

const at = (phrase: string, video: string, rank: number, title = video) => ({ phrase, video, title, rank })
const searches: Record<string, number> = { chain: 1000, wax: 300, lube: 500, gears: 50 }
const asked = (ranks: Record<string, RankDay[]> = {}) => ({
  shares: SHARES,
  language: 'en',
  searchesOf: (phrase: string) => searches[phrase] ?? null,
  daysOf: (video: string, phrase: string) => ranks[`${video} ${phrase}`] ?? [],
})

test('phrases that several of mine hold, with what each brings, and what the lower one could be for instead', () => {
  const standing = [
    at('chain', 'b', 7, 'Chain care'),
    at('chain', 'a', 2, 'Care for chains'),
    at('lube', 'b', 3),
    at('wax', 'b', 9),
    at('gears', 'a', 1),
    at('unknown', 'a', 4),
    at('unknown', 'b', 5),
  ]
  const swapping = { 'a chain': days(2, 8, 2), 'b chain': days(7, 3, 7) }
  const [first, second] = standTogether(standing, asked(swapping)).rows
  expect(first).toMatchObject({ phrase: 'chain', searches: 1000, swaps: 2, days: 3, closeness: 1, giveUp: 'b' })
  expect(first!.videos.map(({ video }) => video)).toEqual(['a', 'b'])
  expect(first!.videos[0]!.brings).toBeCloseTo(1000 * SHARES[1]!, 9)
  expect(first!.videos[1]!.instead).toEqual({ phrase: 'lube', searches: 500 })
  expect(second).toMatchObject({ phrase: 'unknown', searches: null, giveUp: null })
  expect(second!.videos[0]!.brings).toBeNull()
})

test('two that keep their places both bring what they bring; one without another phrase keeps this one', () => {
  const standing = [at('chain', 'a', 2), at('chain', 'b', 7), at('lube', 'b', 3)]
  expect(standTogether(standing, asked()).rows[0]!.giveUp).toBeNull()
  const swapping = { 'a chain': days(2, 8, 2), 'b chain': days(7, 3, 7) }
  expect(standTogether(standing.slice(0, 2), asked(swapping)).rows[0]!.giveUp).toBeNull()
  expect(standTogether([at('chain', 'a', 2)], asked())).toEqual({ rows: [], more: 0 })
  expect(standTogether(standing, { ...asked(), most: 0 })).toEqual({ rows: [], more: 1 })
})

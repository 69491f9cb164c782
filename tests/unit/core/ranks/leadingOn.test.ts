import { finished } from '../finished'
import { stemsOf } from '../../../../core/titles/closeness'
import { leadingOn as work, type LeadingVideo } from '../../../../core/ranks/leadingOn'

const leadingOn = (...asked: Parameters<typeof work>) => finished(work(...asked))
const video = (video: string, title: string, views: number | null = null): LeadingVideo => ({
  ...{ video, title, views },
  stems: stemsOf(title, 'en'),
})
const CHANNEL = [
  video('a', 'Rear derailleur indexing for bikes', 900),
  video('b', 'Rear derailleur adjustment on a bike', 50),
  video('c', 'Bike chain waxing', 400),
  video('d', 'Waxing a bike chain at home', 300),
  video('e', 'Bike wheel truing', null),
  video('f', 'Bike bottom bracket creaking', 20),
]
const noLead = () => false

test('those watched most first, each with what is about the same; a word of every title says nothing', () => {
  const told = leadingOn(CHANNEL, noLead, [], 10)
  expect(told.map(({ video, to }) => [video, to.map(each => each.video)])).toEqual([
    ['a', ['b']],
    ['c', ['d']],
    ['d', ['c']],
    ['b', ['a']],
  ])
  // “Bike” is all that wheel and bottom bracket share with the others.
  expect(told.flatMap(({ to }) => to.map(each => each.video))).not.toContain('e')
  // Waxing and chain of two titles each, home of one: 2 ln 7/3 ÷ (2 ln 7/3 + ln 7/2).
  const share = (2 * Math.log(7 / 3)) / (2 * Math.log(7 / 3) + Math.log(7 / 2))
  expect(told[1]!.to[0]!.closeness).toBeCloseTo(share)
})

test('what leads there already is not told again, and only so many are', () => {
  const told = leadingOn(CHANNEL, (from, to) => from === 'a' && to === 'b', [], 2)
  expect(told.map(({ video }) => video)).toEqual(['c', 'd'])
})

test('one video, none, or titles without a word are no trouble; ten thousand are read in no time', () => {
  expect(leadingOn([], noLead, [], 5)).toEqual([])
  expect(leadingOn([video('a', 'Alone')], noLead, [], 5)).toEqual([])
  expect(leadingOn([video('a', '???'), video('b', '')], noLead, [], 5)).toEqual([])
  const many = Array.from({ length: 10_000 }, (_, i) => ({
    ...{ video: `v${i}`, title: '', views: i },
    stems: new Set(['thing', `part ${i % 700}`, `of ${i % 1300}`]),
  }))
  expect(leadingOn(many, noLead, [], 100)).toHaveLength(100)
})

test('a playlist whose phrase a title says whole is told, unless it holds the video already', () => {
  const list = (id: string, lead: string, ...holds: string[]) => ({
    ...{ id, title: lead, stems: stemsOf(lead, 'en'), holds: new Set(holds) },
  })
  const told = leadingOn(
    CHANNEL,
    noLead,
    [list('chains', 'bike chain', 'c'), list('wheels', 'bike wheel'), list('none', ''), list('tubes', 'bike tube')],
    10,
  )
  const playlists = Object.fromEntries(told.map(each => [each.video, each.playlists.map(({ id }) => id)]))
  expect(playlists).toEqual({ a: [], b: [], c: [], d: ['chains'], e: ['wheels'] })
  expect(told.find(({ video }) => video === 'e')!.to).toEqual([])
})

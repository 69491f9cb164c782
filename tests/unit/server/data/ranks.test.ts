import { phraseStore } from '../../../../server/data/phrases'
import { rankStore } from '../../../../server/data/ranks'
import { freshData, temporaryFolder } from '../files'

const folder = temporaryFolder()
function stores() {
  const db = freshData(folder)
  return { db, phrases: phraseStore(db), ranks: rankStore(db) }
}
const told = (given: Record<string, number | null>) => new Map(Object.entries(given))

test('a page’s ranks are kept for all its videos; a second look of a day takes the place of the first', () => {
  const { phrases, ranks } = stores()
  const page = { phraseId: phrases.phraseId('bike chain', 'en'), region: 'GB', kind: 'site' as const }
  ranks.save(page, 10, told({ a: 4, b: null }), 60)
  ranks.save(page, 10, told({ a: 3 }), 60)
  ranks.save(page, 12, told({ a: 7, b: 51 }), 60)
  expect(ranks.of({ video: 'a' })).toEqual([
    {
      phrase: 'bike chain',
      region: 'GB',
      kind: 'site',
      days: [
        { day: 10, rank: 3, depth: 60 },
        { day: 12, rank: 7, depth: 60 },
      ],
    },
  ])
  expect(ranks.of({ video: 'b' })[0]!.days.map(({ rank }) => rank)).toEqual([null, 51])
  expect(ranks.of({ video: 'c' })).toEqual([])
  expect(ranks.followed(page).sort()).toEqual(['a', 'b'])
  expect(ranks.followed({ ...page, kind: 'web' })).toEqual([])
})

test('one phrase, one region, one kind, some days', () => {
  const { phrases, ranks } = stores()
  const [chain, bell] = ['bike chain', 'bike bell'].map(text => phrases.phraseId(text, 'en'))
  for (const phraseId of [chain!, bell!])
    for (const region of ['', 'GB'])
      for (const kind of ['site', 'web'] as const)
        for (const day of [1, 2, 3]) ranks.save({ phraseId, region, kind }, day, told({ a: day }), 60)
  const count = (question: object) =>
    ranks.of({ video: 'a', ...question }).reduce((sum, { days }) => sum + days.length, 0)
  expect(count({})).toBe(24)
  expect(count({ phrase: 'bike bell' })).toBe(12)
  expect(count({ phrase: 'bike bell', region: '', kind: 'web' })).toBe(3)
  expect(count({ phrase: 'bike bell', region: 'GB', kind: 'site', from: 2, to: 3 })).toBe(2)
})

import { ownRivals, type OwnOther, type Planned } from '../../../../core/draft/ownRivals'

const page = (from: number, n = 20) => Array.from({ length: n }, (_, i) => from + i)
const planned: Planned = {
  title: 'How to index gears',
  lead: 'how to index gears',
  page: page(0),
  support: [
    { phrase: 'gear cable stretch', volume: 40, page: page(100) },
    { phrase: 'rear derailleur limit', volume: 90, page: page(15) },
    { phrase: 'indexing gear', volume: 500, page: page(3) },
  ],
}
const brief = (id: string, more: Partial<OwnOther>): OwnOther => ({
  kind: 'brief',
  id,
  title: id,
  lead: id,
  page: [],
  ...more,
})

test('the same lead in other words comes first, then results in common, then a video that stands there', () => {
  const found = ownRivals(
    planned,
    [
      { kind: 'video', id: 'v', title: 'My video', lead: '', page: [], rank: 7 },
      brief('wheels', { page: page(200) }),
      brief('some', { page: page(14) }),
      brief('more', { page: page(10) }),
      brief('few', { page: page(15) }),
      brief('same', { lead: 'indexing gear', title: 'How to index gears well', page: page(3) }),
    ],
    'en',
  )
  expect(found.map(({ id, because, shared, rank }) => [id, because, shared, rank])).toEqual([
    ['same', 'lead', 17, null],
    ['more', 'results', 10, null],
    ['some', 'results', 6, null],
    ['v', 'rank', null, 7],
  ])
  expect(found[0]!.closeness).toBeGreaterThan(0.6)
})

test('what parts them are support phrases with other results, most searched first; without a page it is unknown', () => {
  const [same] = ownRivals(planned, [brief('same', { lead: 'index gears', page: page(3) })], 'en')
  expect(same!.instead).toEqual([{ phrase: 'gear cable stretch', volume: 40, shared: 0 }])
  const [unknown] = ownRivals({ ...planned, page: [] }, [brief('same', { lead: 'how to index gears' })], 'en')
  expect(unknown).toMatchObject({ because: 'lead', shared: null })
  expect(unknown!.instead.map(each => [each.phrase, each.shared])).toEqual([
    ['rear derailleur limit', null],
    ['gear cable stretch', null],
  ])
})

test('without a lead, or without a page and another lead, nothing is said', () => {
  expect(ownRivals({ ...planned, lead: ' ' }, [brief('x', { lead: 'how to index gears' })], 'en')).toEqual([])
  expect(ownRivals({ ...planned, page: [] }, [brief('some', { page: page(3) })], 'en')).toEqual([])
})

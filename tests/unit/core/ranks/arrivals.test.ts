import { arrivalsAbove } from '../../../../core/ranks/arrivals'

const page = (at: number, ids: string) => ({ at, ids: ids.split(' ') })
const MINE = new Set(['me', 'my'])

test('only what was on no page before and stands above mine came in', () => {
  const pages = [page(3, 'new a me b late'), page(1, 'a b me'), page(2, 'a me b my')]
  expect(arrivalsAbove(pages, 'me', MINE)).toEqual([{ at: 3, since: 2, id: 'new', rank: 1 }])
})

test('what comes back or only rises did not come in', () => {
  expect(arrivalsAbove([page(1, 'a b me'), page(2, 'b me'), page(3, 'a b me')], 'me', MINE)).toEqual([])
  expect(arrivalsAbove([page(1, 'me a'), page(2, 'a me')], 'me', MINE)).toEqual([])
})

test('where mine is pushed off the page, all that is new there came in above it', () => {
  expect(arrivalsAbove([page(1, 'a me'), page(2, 'a x my'), page(3, 'a y x')], 'me', MINE)).toEqual([
    { at: 2, since: 1, id: 'x', rank: 2 },
  ])
})

test('nobody comes in above one that is on no page, and nothing is known from a single page', () => {
  expect(arrivalsAbove([page(1, 'a'), page(2, 'b a')], 'me', MINE)).toEqual([])
  expect(arrivalsAbove([page(1, 'a me')], 'me', MINE)).toEqual([])
  expect(arrivalsAbove([], 'me', MINE)).toEqual([])
})

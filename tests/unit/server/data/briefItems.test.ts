import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const ID = '0190a000-0000-7000-8000-00000000000'
function stores() {
  const db = freshData(folder)
  const clock = standingClock(1_000)
  const items = briefItemStore(db, clock)
  const briefs = briefStore(db, clock, items)
  return { db, items, briefs, brief: briefs.create({ topic: 'Chain' }).id }
}
const candidate = (title: string, state: 'open' | 'kept' | 'discarded' = 'open') => ({ title, pattern: null, state })
const item = (n: number, title: string, revision = 0) =>
  ({ id: `${ID}${n}`, kind: 'candidate', revision, value: candidate(title) }) as const

test('items are made, changed, ordered, taken out and brought back, each with its revision', () => {
  const { items, brief } = stores()
  items.save(brief, item(1, 'One'))
  items.save(brief, item(2, 'Two'))
  expect(items.list(brief, 'candidate').map(each => [each.value.title, each.revision])).toEqual([
    ['One', 1],
    ['Two', 1],
  ])
  const changed = items.save(brief, { ...item(1, 'One more', 1), position: 9 })
  expect(changed).toMatchObject({ kind: 'saved', item: { revision: 2, position: 9 } })
  expect(items.list(brief, 'candidate').map(each => each.value.title)).toEqual(['Two', 'One more'])
  expect(items.remove(brief, `${ID}1`)).toBe(true)
  expect(items.remove(brief, `${ID}1`)).toBe(false)
  expect(items.list(brief, 'candidate')).toHaveLength(1)
  expect(items.save(brief, item(1, 'One more', 3))).toMatchObject({ kind: 'saved', item: { revision: 4 } })
  expect(items.list(brief, 'candidate')).toHaveLength(2)
})

test('what was changed elsewhere is not overwritten, and a repeat writes nothing', () => {
  const { items, brief } = stores()
  items.save(brief, item(1, 'One'))
  expect(items.save(brief, item(1, 'One'))).toMatchObject({ kind: 'saved', item: { revision: 1 } })
  items.save(brief, item(1, 'Theirs', 1))
  expect(items.save(brief, item(1, 'Mine', 1))).toMatchObject({
    kind: 'stale',
    theirs: { revision: 2, value: { title: 'Theirs' } },
  })
  expect(() => items.save(brief, item(2, ' '))).toThrow('A candidate needs a title.')
})

test('an id belongs to one brief; a brief has so many; a copy has its own; purging takes them along', () => {
  const { db, items, briefs, brief } = stores()
  const other = briefs.create({ topic: 'Other' }).id
  items.save(brief, item(1, 'One'))
  expect(items.save(other, item(1, 'One'))).toEqual({ kind: 'other-item' })
  expect(items.remove(other, `${ID}1`)).toBe(false)
  const copy = briefs.duplicate(brief)!
  expect(items.list(copy.id, 'candidate').map(each => each.value.title)).toEqual(['One'])
  expect(items.list(copy.id, 'candidate')[0]!.id).not.toBe(`${ID}1`)
  for (let n = 100; n < 399; n++)
    items.save(brief, { ...item(1, `T${n}`), id: `0190a000-0000-7000-8000-000000000${n}` })
  expect(items.save(brief, item(2, 'Too many'))).toEqual({ kind: 'full' })
  briefs.remove(brief)
  briefs.purge(brief)
  expect(db.prepare('SELECT count(*) FROM brief_item WHERE brief_id = ?').pluck().get(brief)).toBe(0)
})

test('a change of an item is a change of its brief', () => {
  const { items, briefs, brief } = stores()
  const before = briefs.get(brief)!.updatedAt
  items.save(brief, item(1, 'One'))
  expect(briefs.get(brief)!.updatedAt).toBeGreaterThanOrEqual(before)
})

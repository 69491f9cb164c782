import { groupsIn, tellingGroups } from '../../../../core/demand/phrasesIn'

const TEXT =
  'The bottom bracket creaks. My bottom bracket creaks too, and the bottom bracket tool is lost. Rear derailleur, then.'

test('groups of words stand side by side, and go over no sign', () => {
  const all = groupsIn(TEXT, 'en')
  const groups = new Map(all.map(each => [each.phrase, each.count]))
  expect(groups.get('bottom bracket')).toBe(3)
  expect(groups.get('bottom bracket creaks')).toBe(2)
  expect(groups.get('rear derailleur')).toBe(1)
  // People search with small words too: such a group is looked up, but tells nothing by itself.
  expect(all.find(each => each.phrase === 'the bottom bracket')).toMatchObject({ count: 2, whole: false })
  expect(groups.has('creaks my')).toBe(false)
  expect(groups.has('derailleur then')).toBe(false)
})

test('what is said again and again and not only within longer groups tells the text', () => {
  const told = tellingGroups(groupsIn(TEXT, 'en'))
  expect(told.map(each => each.phrase)).toEqual(['bottom bracket creaks', 'bottom bracket'])
  // A group that only stands in a longer one is left to that.
  expect(tellingGroups(groupsIn('hot wax pot. hot wax pot. hot wax pot.', 'en')).map(each => each.phrase)).toEqual([
    'hot wax pot',
  ])
  expect(tellingGroups(groupsIn('', 'en'))).toEqual([])
})

test('scripts without spaces have groups without spaces', () => {
  expect(groupsIn('自転車 チェーン', 'ja').map(each => each.phrase)).toContain('自転車 チェーン')
})

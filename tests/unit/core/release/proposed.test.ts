import { mostSay } from '../../../../core/release/proposed'

test('what more than half of those that say anything say, out of all that were looked at', () => {
  expect(mostSay(['a', 'b', 'a', null, 'a', 'a', null])).toEqual({ value: 'a', times: 4, of: 7 })
  expect(mostSay(['a', 'a', 'b', 'b', 'c', null])).toBeNull()
  expect(mostSay(['a', 'a', 'a', 'b', 'b', 'b'])).toBeNull()
})

test('a few that say something are no page', () => {
  expect(mostSay([])).toBeNull()
  expect(mostSay(['a', 'a', 'a', 'a', null, null, null])).toBeNull()
})

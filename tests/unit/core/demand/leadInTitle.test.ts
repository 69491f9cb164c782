import { leadInTitle } from '../../../../core/demand/leadInTitle'
import { atStake } from '../../../../core/draft/atStake'

const known = [
  { phrase: 'bike chain', volume: 9000 },
  { phrase: 'clean a bike chain', volume: 300 },
  { phrase: 'how to clean a bike chain', volume: 1200 },
  { phrase: 'clean a bike', volume: 800 },
  { phrase: 'chain', volume: 50_000 },
  { phrase: 'rusty bike chain', volume: null },
]
test.each([
  ['How to clean a Bike Chain: every step', 'how to clean a bike chain'],
  ['We clean a bike chain', 'clean a bike chain'],
  ['Clean a bike in ten minutes', 'clean a bike'],
  ['A rusty bike chain', 'bike chain'],
  ['Chain', ''],
  ['Bike and chain', ''],
  ['', ''],
])('the phrase that %j is meant for', (title, phrase) => {
  expect(leadInTitle(known)(title)).toBe(phrase)
})

test('of phrases of the same length the one searched most', () => {
  const two = [
    { phrase: 'bike chain', volume: 5 },
    { phrase: 'chain oil', volume: 50 },
  ]
  expect(leadInTitle(two)('Bike chain oil')).toBe('chain oil')
  expect(leadInTitle([])('Bike chain oil')).toBe('')
})

test('searches at stake are those of the missing points, and unknown where one of both is', () => {
  expect(atStake(3600, 64)).toBeCloseTo(1296, 9)
  expect([atStake(3600, 100), atStake(0, 10)]).toEqual([0, 0])
  expect([atStake(null, 64), atStake(3600, null)]).toEqual([null, null])
})

import { compare } from '../../../bench/compare'
import { timing } from '../../../bench/measure'

const round = (here: Record<string, number>, there: Record<string, number>) => ({
  here: Object.entries(here).map(([name, ms]) => timing(name, 'one', [ms], null)),
  there: Object.entries(there).map(([name, ms]) => timing(name, 'one', [ms], null)),
})

test('slower and faster are what every round says, and by more than a little', () => {
  const rows = compare([
    round({ slow: 12, fast: 5, noisy: 20, little: 10.3 }, { slow: 10, fast: 10, noisy: 10, little: 10 }),
    round({ slow: 13, fast: 6, noisy: 9, little: 10.4 }, { slow: 10, fast: 10, noisy: 10, little: 10 }),
    round({ slow: 11, fast: 7, noisy: 30, little: 10.2 }, { slow: 10, fast: 10, noisy: 10, little: 10 }),
  ])
  expect(Object.fromEntries(rows.map(({ name, verdict }) => [name, verdict]))).toEqual({
    slow: 'slower',
    fast: 'faster',
    noisy: 'the same',
    little: 'the same',
  })
  expect(rows[0]).toMatchObject({ here: 12, there: 10, ratio: 1.2, low: 1.1, high: 1.3 })
})

test('what only one of them measures is left out', () => {
  expect(compare([round({ both: 1, mine: 1 }, { both: 1, theirs: 1 })]).map(({ name }) => name)).toEqual(['both'])
})

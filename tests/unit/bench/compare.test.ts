import { compare } from '../../../bench/compare'
import { timing } from '../../../bench/measure'

const run = (given: Record<string, number>, yardstick = 50) => ({
  yardstick,
  timings: Object.entries(given).map(([name, ms]) => timing(name, 'one', [ms], null)),
})

/** Five rounds of the same, but for what differs from one to the next. */
const rounds = (here: (round: number) => Record<string, number>, there: Record<string, number>, count = 5) =>
  Array.from({ length: count }, (_, i) => ({ here: run(here(i)), there: run(there) }))

test('slower and faster are what every round says, and by more than a little', () => {
  const here = (i: number) => ({ slow: 11 + i, fast: 5 + i, noisy: i % 2 ? 9 : 20, little: 10.3 })
  const there = { slow: 10, fast: 12, noisy: 10, little: 10 }
  const rows = compare(rounds(here, there))
  expect(Object.fromEntries(rows.map(({ name, verdict }) => [name, verdict]))).toEqual({
    slow: 'slower',
    fast: 'faster',
    noisy: 'the same',
    little: 'the same',
  })
  expect(rows[0]).toMatchObject({ here: 13, there: 10 })
  for (const [name, ratio] of [
    ['low', 1.1],
    ['ratio', 1.3],
    ['high', 1.5],
  ] as const)
    // prettier-ignore
    expect(rows[0]![name]).toBeCloseTo(ratio, 9)
  // Three that agree may do so by chance.
  expect(compare(rounds(here, there, 3)).map(({ verdict }) => verdict)).toEqual(Array(4).fill('the same'))
})

test('a machine that was slower during one of the two runs makes no build slower', () => {
  const [row] = compare(Array.from({ length: 5 }, () => ({ here: run({ work: 20 }, 100), there: run({ work: 10 }) })))
  expect(row).toMatchObject({ here: 20, there: 10, ratio: 1, verdict: 'the same' })
})

test('what only one of them measures is left out', () => {
  const [one] = rounds(() => ({ both: 1, mine: 1 }), { both: 1, theirs: 1 })
  expect(compare([one!]).map(({ name }) => name)).toEqual(['both'])
})

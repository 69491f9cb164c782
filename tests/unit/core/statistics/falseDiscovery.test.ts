import { falseDiscovery } from '../../../../core/statistics/falseDiscovery'

// By hand, of four tests: .01 × 4/1, .02 × 4/2, .03 × 4/3, .5 × 4/4, each no more than those after it.
test('shares of false alarms, in the order given, with gaps left open', () => {
  const q = falseDiscovery([0.03, null, 0.01, 0.5, 0.02])
  expect(q[1]).toBeNull()
  expect(q.filter(value => value !== null)).toEqual([0.04, 0.04, 0.5, 0.04].map(value => expect.closeTo(value)))
  expect(falseDiscovery([])).toEqual([])
  expect(falseDiscovery([1, 1])).toEqual([1, 1])
})

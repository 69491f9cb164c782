import { seeded } from '../../../../core/random'
import { signedRankShift } from '../../../../core/statistics/signedRanks'

test('the interval is that of the averages of all pairs, by the exact chances of the ranks', () => {
  // Six values: only the outermost averages leave less than 2.5 % of the 64 sign patterns outside.
  expect(signedRankShift([1, 2, 3, 4, 5, 6], 0.95)).toEqual({ shift: 3.5, low: 1, high: 6 })
  // Ten values: the sums up to 8 have 25 of 1,024 patterns, so that the ninth average bounds it (Hollander and Wolfe).
  const ten = [-1, 0.5, 1.5, 2, 3, 4.5, 6, 7, 9.5, 12]
  const averages = ten.flatMap((a, i) => ten.slice(i).map(b => (a + b) / 2)).sort((a, b) => a - b)
  expect(signedRankShift(ten, 0.95)).toMatchObject({ low: averages[8], high: averages[averages.length - 9] })
})

test('too few values tell nothing', () => {
  expect(signedRankShift([], 0.95)).toBeNull()
  expect(signedRankShift([5, 5, 5, 5, 5], 0.95)).toBeNull()
  expect(signedRankShift([5, 5, 5, 5, 5, 5], 0.95)).toEqual({ shift: 5, low: 5, high: 5 })
})

test('one value far off moves it little', () => {
  const { shift, high } = signedRankShift([1, 1.1, 0.9, 1, 1.2, 0.8, 1, 1e6], 0.95)!
  expect(shift).toBeLessThan(1.2)
  expect(high).toBeGreaterThan(1)
})

test('hundreds of values are no burden, and the interval holds the truth as often as it says', () => {
  const chance = seeded(7)
  let held = 0
  for (let round = 0; round < 400; round++) {
    // Heavy tails: the quotient of two even numbers.
    const values = Array.from({ length: 15 }, () => (chance() - 0.5) / (chance() + 0.05))
    const { low, high } = signedRankShift(values, 0.95)!
    if (low <= 0 && high >= 0) held++
  }
  expect(held / 400).toBeGreaterThanOrEqual(0.93)
  expect(held / 400).toBeLessThanOrEqual(0.98)
  expect(
    signedRankShift(
      Array.from({ length: 500 }, (_, i) => i - 100),
      0.95,
    )!.shift,
  ).toBeCloseTo(149.5)
})

import { rangesHeld, reliabilityOf, type Told } from '../../../../core/ranks/reliability'

const told = (chance: number, came: boolean, difficulty: number | null = 50): Told => ({ chance, came, difficulty })

test('by hand: four chances, their bins, and the parts of the score', () => {
  const found = reliabilityOf([told(0.15, false), told(0.15, true), told(0.65, true), told(0.65, true)])
  expect(found.n).toBe(4)
  expect(found.bins[1]).toMatchObject({ from: 0.1, to: 0.2, n: 2, came: 1 })
  expect(found.bins[1]!.told).toBeCloseTo(0.15, 12)
  expect(found.bins[6]).toMatchObject({ n: 2, came: 2, high: 1 })
  expect(found.bins[0]).toEqual({ from: 0, to: 0.1, n: 0, told: null, came: 0, low: null, high: null })
  // (.15² + .85² + .35² + .35²) / 4
  expect(found.brier!.score).toBeCloseTo((0.0225 + 0.7225 + 2 * 0.1225) / 4, 12)
  // Half of them by (.15 − .5)², half by (.65 − 1)²; from the base of .75 by .25² each.
  expect(found.brier!.reliability).toBeCloseTo(0.1225, 12)
  expect(found.brier!.resolution).toBeCloseTo(0.0625, 12)
  expect(found.brier!.uncertainty).toBeCloseTo(0.1875, 12)
  expect(found.brier!.within).toBeCloseTo(0, 12)
  expect(found.baselines).toEqual({ always: 0.1875, difficulty: 0.25 })
})

test('intervals hold what is usual: Jeffreys of 27 in 40', () => {
  const forty = Array.from({ length: 40 }, (_, i) => told(0.65, i < 27))
  const { low, high } = reliabilityOf(forty).bins[6]!
  expect(low).toBeCloseTo(0.546, 2)
  expect(high).toBeCloseTo(0.785, 2)
})

test('nothing told is nothing known, and a rule is judged on the same phrases or not at all', () => {
  expect(reliabilityOf([])).toMatchObject({ n: 0, brier: null, baselines: { always: null, difficulty: null } })
  expect(reliabilityOf([told(0.5, true), told(0.5, false, null)]).baselines).toEqual({ always: 0.25, difficulty: null })
  expect(reliabilityOf([told(1, true)]).bins[9]).toMatchObject({ n: 1 })
})

test('ranges that held what came', () => {
  const range = (came: number) => ({ low: 10, high: 20, came })
  expect(rangesHeld([range(9), range(10), range(20), range(21), range(22)])).toEqual({
    n: 5,
    held: 2,
    below: 1,
    above: 2,
  })
})

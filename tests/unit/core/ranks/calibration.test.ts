import { recalibrated, recalibratedRanks, uncorrected } from '../../../../core/chance/recalibrated'
import { brierOf, fitCalibration, LEAST_VIDEOS, type Outcome } from '../../../../core/ranks/calibration'
import { seeded } from '../../../../core/random'

const logit = (p: number) => Math.log(p / (1 - p))
const chanceOf = (odds: number) => 1 / (1 + Math.exp(-odds))

/** A channel whose chances come true otherwise than told, and whose videos have luck of their own. */
function channel(seed: number, usual = false) {
  const chance = seeded(seed)
  const normal = () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())
  const [offset, slope] = usual ? [0, 1] : [0.8 * normal(), Math.exp(0.3 * normal())]
  const outcomes = (videos: number, phrases: number): Outcome[] =>
    Array.from({ length: videos }, (_, video) => {
      const luck = 0.8 * normal()
      return Array.from({ length: phrases }, () => {
        const raw = 0.03 + 0.94 * chance()
        return { video: String(video), raw, came: chance() < chanceOf(offset + slope * logit(raw) + luck) }
      })
    }).flat()
  return { outcomes, chance }
}

/** By how much the Brier score changes on 500 fresh outcomes, for each of 200 channels of 12 to 30 videos, sorted. */
const differencesOf = (usual: boolean) =>
  Array.from({ length: 200 }, (_, i) => {
    const { outcomes, chance } = channel(i + 1, usual)
    const seen = outcomes(LEAST_VIDEOS + Math.floor(18 * chance()), 1 + Math.floor(8 * chance()))
    const fresh = outcomes(100, 5)
    return brierOf(fresh, fitCalibration(seen)!) - brierOf(fresh)
  }).sort((a, b) => a - b)

test('chances that are wrong for a channel get better, and hardly any gets worse', () => {
  const differences = differencesOf(false)
  const mean = differences.reduce((a, b) => a + b, 0) / differences.length
  expect(mean).toBeLessThan(-0.002)
  expect(differences[Math.ceil(0.95 * differences.length) - 1]).toBeLessThanOrEqual(0.005)
})

test('chances that are right stay about as good', () => {
  expect(differencesOf(true)[189]).toBeLessThanOrEqual(0.005)
})

test('with few videos nothing is corrected, however many phrases they have', () => {
  const { outcomes } = channel(1)
  expect(fitCalibration(outcomes(LEAST_VIDEOS - 1, 20))).toBeNull()
  expect(fitCalibration([])).toBeNull()
})

test('what came as told is hardly corrected; what never came is, and stays within reason', () => {
  const told = Array.from({ length: 400 }, (_, i) => ({ video: String(i), raw: 0.1 + 0.8 * (i / 399) }))
  const chance = seeded(7)
  const asTold = fitCalibration(told.map(each => ({ ...each, came: chance() < each.raw })))!
  expect(Math.abs(asTold.offset)).toBeLessThan(0.2)
  expect(asTold.slope).toBeGreaterThan(0.8)
  expect(asTold.slope).toBeLessThan(1.25)
  const never = fitCalibration(told.map(each => ({ ...each, came: false })))!
  expect(recalibrated(never, 0.5)).toBeLessThan(0.05)
  expect(recalibrated(never, 0.5)).toBeGreaterThan(0)
  const sure = fitCalibration(told.map(each => ({ ...each, raw: 1, came: false })))!
  expect(Number.isFinite(sure.offset) && Number.isFinite(sure.slope)).toBe(true)
  expect(sure.slope).toBeGreaterThan(0)
})

test('a correction keeps the order, 0 and 1; chances of ranks still sum to one', () => {
  const how = { offset: -0.7, slope: 0.8 }
  expect(recalibrated(undefined, 0.3)).toBe(0.3)
  for (const chance of [0.001, 0.3, 0.97]) expect(uncorrected(how, recalibrated(how, chance))).toBeCloseTo(chance, 12)
  expect([uncorrected(how, 0), uncorrected(how, 1), uncorrected(undefined, 0.4)]).toEqual([0, 1, 0.4])
  expect([recalibrated(how, 0), recalibrated(how, 1)]).toEqual([0, 1])
  expect(recalibrated(how, 0.5)).toBeCloseTo(1 / (1 + Math.exp(0.7)), 12)
  expect(recalibrated(how, 0.6)).toBeGreaterThan(recalibrated(how, 0.5))
  const ranks = Float64Array.from([0.1, 0.3, 0.2, 0.15, 0.25])
  const found = recalibratedRanks(how, ranks)
  expect(found.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12)
  expect(found[0]! + found[1]!).toBeCloseTo(recalibrated(how, 0.4), 12)
  expect(recalibratedRanks(undefined, ranks)).toBe(ranks)
})

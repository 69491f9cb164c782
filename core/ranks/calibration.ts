import { recalibrated, type Recalibration } from '../chance/recalibrated'

/** A forecast of page one, and whether it came. */
export interface Outcome {
  video: string
  /** The chance before any correction, 0 to 1. */
  raw: number
  came: boolean
}

/** So many videos have to have come or not before chances are corrected by them. */
export const LEAST_VIDEOS = 12
/**
 * How far a channel lies from what is usual, as standard deviations of the offset and of the slope's logarithm: what
 * few outcomes say beyond that is taken for luck.
 */
const OFFSET_DEVIATION = 0.4
const SLOPE_DEVIATION = 0.25
/** Chances nearer to 0 or 1 than this weigh no more than it. */
const NEAREST = 0.005
const STEPS = 30

const { exp, log, max, min, sqrt, abs } = Math
const logit = (p: number) => log(p / (1 - p))

/**
 * How a channel's chances are to be corrected, by penalised maximum likelihood: an offset near 0 and a slope near 1.
 * The outcomes of a video share its luck: together they weigh as much as the square root of their number.
 *
 * @returns `null` while fewer than `LEAST_VIDEOS` videos have an outcome.
 */
export function fitCalibration(outcomes: readonly Outcome[]): Recalibration | null {
  const ofVideo = new Map<string, number>()
  for (const { video } of outcomes) ofVideo.set(video, (ofVideo.get(video) ?? 0) + 1)
  if (ofVideo.size < LEAST_VIDEOS) return null
  const all = outcomes.map(({ video, raw, came }) => ({
    odds: logit(min(1 - NEAREST, max(NEAREST, raw))),
    came: came ? 1 : 0,
    weight: 1 / sqrt(ofVideo.get(video)!),
  }))
  let [offset, steepness] = [0, 0]
  // Newton's method on the offset and the slope's logarithm; steps are held within what keeps it from running away.
  for (let step = 0; step < STEPS; step++) {
    const slope = exp(steepness)
    let [g0, g1] = [-offset / OFFSET_DEVIATION ** 2, -steepness / SLOPE_DEVIATION ** 2]
    let [h00, h01, h11] = [1 / OFFSET_DEVIATION ** 2, 0, 1 / SLOPE_DEVIATION ** 2]
    for (const { odds, came, weight } of all) {
      const p = 1 / (1 + exp(-offset - slope * odds))
      const by = slope * odds
      const [error, curve] = [weight * (came - p), weight * p * (1 - p)]
      g0 += error
      g1 += error * by
      h00 += curve
      h01 += curve * by
      h11 += max(0, curve * by * by - error * by)
    }
    const determinant = h00 * h11 - h01 * h01
    const bounded = (value: number) => max(-0.5, min(0.5, value))
    const [d0, d1] = [bounded((h11 * g0 - h01 * g1) / determinant), bounded((h00 * g1 - h01 * g0) / determinant)]
    offset += d0
    steepness += d1
    if (abs(d0) + abs(d1) < 1e-9) break
  }
  return { offset, slope: exp(steepness) }
}

/** The mean squared difference between chances and what came. */
export const brierOf = (outcomes: readonly Outcome[], how?: Recalibration): number =>
  outcomes.reduce((sum, { raw, came }) => sum + (recalibrated(how, raw) - (came ? 1 : 0)) ** 2, 0) / outcomes.length

import { mean } from 'd3-array'
import { viewsToWin } from '../../core/rivals/winnings'
import { forecastersOf } from './forecasters'
import { oraclesOf } from './oracle'
import { picking } from './picking'
import { scoresOf, type Scores } from './scores'
import type { Trial } from './trial'

/** What came out in one world. */
export interface Figures {
  seed: number
  tried: number
  rate: number
  scores: Record<'learnt' | 'constants' | 'difficulty' | 'rule' | 'base' | 'oracle' | 'allSeeing', Scores>
  /** The calibration error that a perfect forecaster of these chances would have, in the mean. */
  perfect: number
  /** The part of videos whose rank lies within the likely ranks, and whose views lie within the views to win. */
  ranksCovered: number
  viewsCovered: number
  picks: ReturnType<typeof picking>
  pairs: { learnt: number; constants: number }
  better: boolean
  took: number
}

export function figuresOf(trial: Trial): Figures {
  const { attempts, seed, searchers, pages } = trial
  const oracles = oraclesOf(trial)
  const forecasters = forecastersOf(trial)
  const { said, model, took } = forecasters
  const came = attempts.map(({ rank }) => rank !== null && rank <= 20)
  const rate = mean(came, Number)!
  const scores = (chances: readonly number[]) => scoresOf(chances, came)
  const volumes = new Map(pages.map(page => [page.phrase, page.volume]))
  return {
    seed,
    tried: attempts.length,
    rate,
    scores: {
      learnt: scores(said.learnt),
      constants: scores(said.constants),
      difficulty: scores(said.difficulty),
      rule: scores(said.rule),
      base: scores(attempts.map(() => rate)),
      oracle: scores(oracles.visible),
      allSeeing: scores(oracles.allSeeing),
    },
    perfect: perfectCalibration(said.learnt),
    ranksCovered: mean(attempts, ({ rank }, i) => {
      const [first, last] = said.likely[i]!
      return Number((rank ?? 61) >= first && (rank ?? 61) <= last)
    })!,
    viewsCovered: mean(attempts, ({ rank, phrase }, i) => {
      const volume = volumes.get(phrase)!
      const { low, high } = viewsToWin(volume, { ranks: new Float64Array(61), likely: said.likely[i]! })!
      const views = rank === null ? 0 : volume * 3 * searchers.first * Math.pow(rank, -searchers.fall)
      return Number(views >= low && views <= high)
    })!,
    picks: picking(trial, oracles, forecasters),
    pairs: { learnt: model.judged.learnt, constants: model.judged.constants },
    better: model.better,
    took,
  }
}

/** The mean calibration error when everything comes true as often as it is said. */
function perfectCalibration(chances: readonly number[]): number {
  let sum = 0
  // Each bin's distance is that of a binomial from its mean: √(2 / π) of its standard deviation.
  const bins = new Float64Array(10)
  for (const chance of chances) bins[Math.min(9, Math.floor(chance * 10))]! += chance * (1 - chance)
  for (const variance of bins) sum += Math.sqrt((2 / Math.PI) * variance)
  return sum / chances.length
}

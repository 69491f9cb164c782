import { volumeCap, worth, WORTH_WEIGHTS, type WorthWeights } from '../../core/demand/worth'
import type { Forecasters } from './forecasters'
import type { Oracles } from './oracle'
import type { Trial } from './trial'

/** Channels that pick, by subscribers. */
export const PICKERS = [500, 5_000, 500_000]
export const PICKED = 30
/** Weights tried beside the usual ones with a mean of the factors, chance by itself. */
const APART = [
  [0.45, 0.45],
  [0.6, 0.3],
  [0.7, 0.2],
  [0.8, 0.1],
] as const

/**
 * What thirty of three hundred phrases reach, picked in several ways: the sum of searches × true chance, as a part of
 * what the best thirty would reach.
 */
export function picking({ channels, attempts, pages }: Trial, oracles: Oracles, forecasters: Forecasters) {
  const volumes = new Map(pages.map(page => [page.phrase, page.volume]))
  const tried = new Map(attempts.filter(each => each.wording === 'full').map(each => [each.phrase, each]))
  const main = channels[0]!.trade
  const phrases = pages.filter(page => page.trade === main && tried.has(page.phrase)).map(page => page.phrase)
  const cap = volumeCap(phrases.map(phrase => volumes.get(phrase)!))
  return PICKERS.map(size => {
    const far = (subscribers: number) => Math.abs(Math.log(subscribers / size))
    const picker = channels
      .filter(each => each.trade === main)
      .reduce((a, b) => (far(a.subscribers) <= far(b.subscribers) ? a : b)).channel.id
    const rows = phrases.map(phrase => {
      const volume = volumes.get(phrase)!
      const { learnt, constants, difficulty } = forecasters.inFull(picker, phrase)
      const truth = oracles.chanceOf(picker, tried.get(phrase)!)
      const trend = { direction: 'steady' as const, yearly: 0 }
      const by = (chance: number, weights?: WorthWeights) =>
        worth({ volume, cap, ease: chance, trend, byChance: weights === undefined }, weights)!
      return {
        reach: volume * truth,
        by: {
          'worth': by(learnt),
          'worth by constants': by(constants),
          'searches': volume,
          'difficulty': -difficulty,
          'chance': learnt,
          ...Object.fromEntries(
            APART.map(([demand, ease]) => [`apart ${demand}, ${ease}`, by(learnt, { ...WORTH_WEIGHTS, demand, ease })]),
          ),
        } as Record<string, number>,
      }
    })
    const reached = (of: (row: (typeof rows)[number]) => number) =>
      [...rows]
        .sort((a, b) => of(b) - of(a))
        .slice(0, PICKED)
        .reduce((sum, row) => sum + row.reach, 0)
    const best = reached(row => row.reach)
    return {
      size,
      reached: Object.fromEntries(Object.keys(rows[0]!.by).map(name => [name, reached(row => row.by[name]!) / best])),
    }
  })
}

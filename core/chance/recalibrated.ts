/**
 * How chances told came true for a channel: the logarithm of its odds is taken `slope` times and moved by `offset`.
 * None is `{ offset: 0, slope: 1 }`.
 */
export interface Recalibration {
  offset: number
  slope: number
}

/** How chances are to be corrected, by what they are told from: one says nothing of how the other misses. */
export interface Corrections {
  /** `undefined` while too few videos are known. */
  fixed: Recalibration | undefined
  learnt: Recalibration | undefined
}

const { exp, log } = Math

/** A chance as the history of a channel corrects it; 0 and 1 stay. @param how `undefined` leaves it as it is. */
export function recalibrated(how: Recalibration | undefined, chance: number): number {
  if (!how || !(chance > 0 && chance < 1)) return chance
  return 1 / (1 + exp(-how.offset - how.slope * log(chance / (1 - chance))))
}

/** What a chance was before it was corrected. */
export function uncorrected(how: Recalibration | undefined, chance: number): number {
  if (!how || !(chance > 0 && chance < 1)) return chance
  return 1 / (1 + exp((how.offset - log(chance / (1 - chance))) / how.slope))
}

/**
 * Chances of ranks, corrected so that those of being at a rank or above are.
 * @param ranks P(rank = k) at index k − 1, the last one “behind all of them”.
 */
export function recalibratedRanks(how: Recalibration | undefined, ranks: Float64Array): Float64Array {
  if (!how) return ranks
  let [reached, before] = [0, 0]
  return ranks.map((each, i) => {
    reached += each
    const now = i === ranks.length - 1 ? 1 : recalibrated(how, Math.min(1, reached))
    const mine = now - before
    before = now
    return Math.max(0, mine)
  })
}

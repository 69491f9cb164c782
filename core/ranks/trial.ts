import { mean, variance } from 'd3-array'
import { signedRankShift } from '../statistics/signedRanks'
import { studentQuantile } from '../statistics/student'
import { YOUNG_DAYS } from './beforeAfter'
import { differenceOf, LITTLE, sidesAround, sum, type Compared, type ComparedDay } from './sides'

/** Fewer pairs can tell nothing at this certainty, whatever they show. */
export const LEAST_PAIRS = 6
export const TRIAL_WEEKS = { least: 1, most: 8 } as const
export const TRIAL_WAVES = { least: 1, most: 6 } as const
const SURE = 0.95
/** A difference is called visible where this part of trials would show it. */
const SHOWN = 0.8
/** What ranks need more pairs for than means do, were chance normal. */
const RANKS_NEED = Math.PI / 3

/** How a video has done lately. */
export interface Lately {
  /** Counts of the time, by which videos alike are put together. */
  level: number
  /** How much more the second half had than the first, as a logarithm: nothing was tried meanwhile. */
  drift: number
  /** The variance that counting alone gives the drift: of few views some more or less are chance. */
  noise: number
}

/**
 * How a video did in the last days, in as many days twice as a trial compares.
 *
 * @returns `null` where it is too young for a trial, or too little of it is known.
 */
export function lately(
  days: readonly ComparedDay[],
  what: Compared,
  released: number,
  today: number,
  length: number,
): Lately | null {
  const middle = today - length - 1
  if (middle - length < released + YOUNG_DAYS) return null
  const sides = sidesAround(days, what, middle, length)
  if (!sides) return null
  const { before, after } = sides
  // Of rates, what they are parts of: more of it makes them surer.
  const level = what === 'clickRate' ? sum(before.below) + sum(after.below) : sum(before.above) + sum(after.above)
  const noise = 1 / (sum(before.above) + LITTLE) + 1 / (sum(after.above) + LITTLE)
  return { level, drift: differenceOf(sides), noise }
}

/** Two videos much alike, of which one was drawn to be changed. */
export interface TrialPair {
  changed: string
  kept: string
  /** When it is changed: the first wave is 0. */
  wave: number
}

/**
 * Draws which videos are changed, and when: those most alike are pairs, a coin says which of the two is changed, and
 * pairs go into waves by lot.
 *
 * @param chance numbers in [0, 1).
 * @returns the pairs; of an odd number the smallest video is left out.
 */
export function drawTrial(
  videos: readonly { video: string; level: number }[],
  waves: number,
  chance: () => number,
): TrialPair[] {
  const ordered = [...videos].sort((a, b) => b.level - a.level || a.video.localeCompare(b.video))
  const pairs: { changed: string; kept: string }[] = []
  for (let i = 0; i + 1 < ordered.length; i += 2) {
    const [one, other] = [ordered[i]!.video, ordered[i + 1]!.video]
    pairs.push(chance() < 0.5 ? { changed: one, kept: other } : { changed: other, kept: one })
  }
  for (let i = pairs.length - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1))
    ;[pairs[i], pairs[j]] = [pairs[j]!, pairs[i]!]
  }
  return pairs.map((pair, i) => ({ ...pair, wave: i % waves }))
}

/**
 * The difference that a trial would show four times in five, as times as much, by how videos drift apart anyway; never
 * less than counting alone hides.
 *
 * @returns `null` for fewer than `LEAST_PAIRS`.
 */
export function visibleTimes(videos: readonly Pick<Lately, 'drift' | 'noise'>[], pairs: number): number | null {
  const apart = variance(videos, ({ drift }) => drift)
  if (pairs < LEAST_PAIRS || apart === undefined) return null
  const least = mean(videos, ({ noise }) => noise)!
  const error = Math.sqrt(Math.max(apart, least) * (2 / pairs) * RANKS_NEED)
  return Math.exp(error * (studentQuantile((1 + SURE) / 2, pairs - 1) + studentQuantile(SHOWN, pairs - 1)))
}

/** A pair with its days, and the day on which one of the two was changed. */
export interface TriedPair {
  day: number
  changed: readonly ComparedDay[]
  kept: readonly ComparedDay[]
}
/** What came of a trial. */
export interface TrialOutcome {
  /** `few`: too few pairs are left to tell anything. `unclear`: the interval holds 1. */
  state: 'more' | 'less' | 'unclear' | 'few'
  /** Pairs whose days are known. */
  pairs: number
  /** How many times as much the changed ones had, beside those that were kept; `null` for too few. */
  effect: { times: number; low: number; high: number } | null
}

/**
 * What the change did: of each pair how the changed one went on, less how the kept one did in the same days. As a coin
 * drew which of the two is which, the interval holds whatever the videos and the season are like.
 *
 * @param length days that are compared on either side of the change.
 */
export function trialOutcome(pairs: readonly TriedPair[], what: Compared, length: number): TrialOutcome {
  const differences = pairs.flatMap(({ day, changed, kept }) => {
    const [with_, without] = [sidesAround(changed, what, day, length), sidesAround(kept, what, day, length)]
    return with_ && without ? [differenceOf(with_) - differenceOf(without)] : []
  })
  const found = differences.length < LEAST_PAIRS ? null : signedRankShift(differences, SURE)
  if (!found) return { state: 'few', pairs: differences.length, effect: null }
  const { shift, low, high } = found
  return {
    state: low > 0 ? 'more' : high < 0 ? 'less' : 'unclear',
    pairs: differences.length,
    effect: { times: Math.exp(shift), low: Math.exp(low), high: Math.exp(high) },
  }
}

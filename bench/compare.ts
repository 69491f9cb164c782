import type { Timing } from './measure'

/** What a run of some benchmarks gave. */
export interface Run {
  /** How slow the machine was meanwhile, in milliseconds; see `yardstick` in measure.ts. */
  yardstick: number
  timings: readonly Timing[]
}
/** What both builds gave in one round. */
export interface Round {
  here: Run
  there: Run
}
export interface Compared {
  name: string
  sizes: string
  /** Medians over the rounds of each run's median, in milliseconds. */
  here: number
  there: number
  /** How many times as long it takes here: the middle one, the smallest and the largest of the rounds. */
  ratio: number
  low: number
  high: number
  verdict: 'slower' | 'faster' | 'the same'
}

/** A difference smaller than this is none, whatever the rounds agree on. */
const SMALL = 0.05
/** With fewer rounds, all agree by chance too often. */
export const LEAST_ROUNDS = 5

const middle = (values: readonly number[]) => {
  const sorted = [...values].sort((a, b) => a - b)
  const at = sorted.length / 2
  return sorted.length % 2 ? sorted[Math.floor(at)]! : (sorted[at - 1]! + sorted[at]!) / 2
}

/**
 * Timings of two builds that were run in turn, each measured by how slow the machine was during its run. The rounds'
 * own spread is the noise: slower or faster is only what is so by more than a twentieth in every one of five rounds or
 * more. What only one of the two measures is left out.
 */
export function compare(rounds: readonly Round[]): Compared[] {
  const key = ({ name, sizes }: Timing) => `${name} · ${sizes}`
  return rounds[0]!.here.timings.flatMap(first => {
    const pairs = rounds.flatMap(({ here, there }) => {
      const [mine, theirs] = [here, there].map(run => run.timings.find(each => key(each) === key(first)))
      if (!mine || !theirs || !theirs.median) return []
      const ratio = mine.median / here.yardstick / (theirs.median / there.yardstick)
      return [{ mine: mine.median, theirs: theirs.median, ratio }]
    })
    if (!pairs.length) return []
    const ratios = pairs.map(each => each.ratio)
    const [ratio, low, high] = [middle(ratios), Math.min(...ratios), Math.max(...ratios)]
    const enough = pairs.length >= LEAST_ROUNDS
    const verdict = enough && low > 1 + SMALL ? 'slower' : enough && high < 1 - SMALL ? 'faster' : 'the same'
    return [
      {
        ...{ name: first.name, sizes: first.sizes, ratio, low, high, verdict },
        here: middle(pairs.map(({ mine }) => mine)),
        there: middle(pairs.map(({ theirs }) => theirs)),
      },
    ]
  })
}

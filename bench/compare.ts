import type { Timing } from './measure'

/** What both builds gave in one round. */
export interface Round {
  here: readonly Timing[]
  there: readonly Timing[]
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

const middle = (values: readonly number[]) => {
  const sorted = [...values].sort((a, b) => a - b)
  const at = sorted.length / 2
  return sorted.length % 2 ? sorted[Math.floor(at)]! : (sorted[at - 1]! + sorted[at]!) / 2
}

/**
 * Timings of two builds that were run in turn. The rounds' own spread is the noise: slower or faster is only what is so
 * in every round, and by more than a twentieth in the middle one. What only one of the two measures is left out.
 */
export function compare(rounds: readonly Round[]): Compared[] {
  const key = ({ name, sizes }: Timing) => `${name} · ${sizes}`
  return rounds[0]!.here.flatMap(first => {
    const pairs = rounds.flatMap(({ here, there }) => {
      const [mine, theirs] = [here, there].map(list => list.find(each => key(each) === key(first)))
      return mine && theirs && theirs.median > 0 ? [{ mine: mine.median, theirs: theirs.median }] : []
    })
    if (!pairs.length) return []
    const ratios = pairs.map(({ mine, theirs }) => mine / theirs)
    const [ratio, low, high] = [middle(ratios), Math.min(...ratios), Math.max(...ratios)]
    const verdict = low > 1 && ratio > 1 + SMALL ? 'slower' : high < 1 && ratio < 1 - SMALL ? 'faster' : 'the same'
    return [
      {
        ...{ name: first.name, sizes: first.sizes, ratio, low, high, verdict },
        here: middle(pairs.map(({ mine }) => mine)),
        there: middle(pairs.map(({ theirs }) => theirs)),
      },
    ]
  })
}

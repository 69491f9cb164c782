/// <reference path="../statistics/jstat.d.ts" />
import jStat from 'jstat'

/** A chance that was told, and whether it came. */
export interface Told {
  chance: number
  came: boolean
  /** Difficulty of the page when it was told; `null` where it is not known. */
  difficulty: number | null
}
/** Chances within a tenth. */
export interface ReliabilityBin {
  from: number
  to: number
  n: number
  /** The mean of what was told; `null` for an empty bin. */
  told: number | null
  /** How many came. */
  came: number
  /** The part that comes in the long run holds with 90 % between these (Jeffreys); `null` for an empty bin. */
  low: number | null
  high: number | null
}
export interface Reliability {
  n: number
  bins: ReliabilityBin[]
  /**
   * The mean squared difference between chance and outcome, less is better, and its parts (Murphy 1973): how far from
   * what came the chances of a bin are, how far bins are parted, and how unsure outcomes are by themselves; `within` is
   * what chances differ within a bin. score = reliability − resolution + uncertainty + within.
   */
  brier: { score: number; reliability: number; resolution: number; uncertainty: number; within: number } | null
  /** The score of two plain rules: always the part that came, and what the difficulty leaves. */
  baselines: { always: number | null; difficulty: number | null }
}

export const BINS = 10
/** The part of the interval of a bin. */
const SURE = 0.9

/** How often chances that were told came true. */
export function reliabilityOf(told: readonly Told[]): Reliability {
  const n = told.length
  const bins = Array.from({ length: BINS }, (_, i): ReliabilityBin => {
    const within = told.filter(({ chance }) => binOf(chance) === i)
    const came = within.filter(each => each.came).length
    const edge = (1 - SURE) / 2
    return {
      from: i / BINS,
      to: (i + 1) / BINS,
      n: within.length,
      told: within.length ? within.reduce((sum, { chance }) => sum + chance, 0) / within.length : null,
      came,
      // Of what always or never came, the nearer end is the end itself.
      low: within.length ? (came ? jStat.beta.inv(edge, came + 0.5, within.length - came + 0.5) : 0) : null,
      high: within.length
        ? came < within.length
          ? jStat.beta.inv(1 - edge, came + 0.5, within.length - came + 0.5)
          : 1
        : null,
    }
  })
  if (!n) return { n, bins, brier: null, baselines: { always: null, difficulty: null } }
  const base = told.filter(({ came }) => came).length / n
  const score = meanOf(told, ({ chance, came }) => (chance - Number(came)) ** 2)
  let [reliability, resolution] = [0, 0]
  for (const { n: of, told: mean, came } of bins)
    if (of) {
      reliability += (of / n) * (mean! - came / of) ** 2
      resolution += (of / n) * (came / of - base) ** 2
    }
  const uncertainty = base * (1 - base)
  const known = told.filter(({ difficulty }) => difficulty !== null)
  return {
    n,
    bins,
    brier: { score, reliability, resolution, uncertainty, within: score - (reliability - resolution + uncertainty) },
    baselines: {
      always: uncertainty,
      // Only where it is known of all: else it would be judged on others.
      difficulty:
        known.length === n
          ? meanOf(known, ({ difficulty, came }) => (1 - difficulty! / 100 - Number(came)) ** 2)
          : null,
    },
  }
}
const binOf = (chance: number) => Math.min(BINS - 1, Math.floor(chance * BINS))
const meanOf = <Each>(list: readonly Each[], value: (each: Each) => number) =>
  list.reduce((sum, each) => sum + value(each), 0) / list.length

/** Ranges that were told, such as views to win, and what came. */
export interface ToldRange {
  low: number
  high: number
  came: number
}
/** How many ranges held what came, and to which side the others missed. */
export function rangesHeld(ranges: readonly ToldRange[]): { n: number; held: number; below: number; above: number } {
  const below = ranges.filter(({ low, came }) => came < low).length
  const above = ranges.filter(({ high, came }) => came > high).length
  return { n: ranges.length, held: ranges.length - below - above, below, above }
}

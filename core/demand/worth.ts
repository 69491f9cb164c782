import type { Intent } from './intentNames'
import type { Trend } from './trend'

/** What a view brings of some kind, such as orders, by what its searcher wants. */
export interface IntentRates {
  intents: Partial<Record<Intent, number>>
  /** Of any view: for a phrase without an intent, or one of which nothing is known. Above 0. */
  other: number
}
/** How much each factor counts in the geometric mean; editable, and summing to 1 by habit. */
export interface WorthWeights {
  demand: number
  ease: number
  trend: number
  /** Counts only where `brings` is known. */
  earnings: number
  brings: IntentRates | null
}
/** The parts of a worth. */
export const WORTH_FACTORS = ['demand', 'ease', 'trend', 'earnings'] as const
export type WorthFactorName = (typeof WORTH_FACTORS)[number]

export const WORTH_WEIGHTS: WorthWeights = { demand: 0.45, ease: 0.45, trend: 0.1, earnings: 0, brings: null }

/** The cap on volume never falls below this, or a small list would call its best phrase huge. */
export const LEAST_CAP = 1000

export interface WorthInput {
  /** Searches a month in the region asked for. */
  volume: number | null
  /** The region's 99.9th percentile of known volumes. */
  cap: number
  /** 0 to 1: 1 − difficulty / 100 for anyone, the chance of page one for a channel. */
  ease: number | null
  trend: Pick<Trend, 'direction' | 'yearly'> | null
  /** What its searchers want; `null` where it is not known. */
  intent?: Intent | null
  /** Whether the ease is a chance: demand is then that of the searches it lets win. */
  byChance?: boolean
}

/** One factor of the worth with what it does to it. */
export interface WorthFactor {
  name: WorthFactorName
  /** The factor itself; `null` when unknown. */
  value: number | null
  weight: number
  /** Points out of 100 the worth would gain if this factor alone were 1. */
  holdsBack: number | null
}

export interface WorthWorking {
  /** 0 to 100, or `null` when a factor with weight is unknown. */
  worth: number | null
  factors: WorthFactor[]
  /** The factor that costs most, or the first unknown one; `null` when nothing holds it back. */
  heldBackBy: WorthFactorName | null
}

/** The 99.9th percentile (nearest rank) of known volumes, at least `LEAST_CAP`. */
export function volumeCap(volumes: ArrayLike<number>): number {
  if (!volumes.length) return LEAST_CAP
  const sorted = Float64Array.from(volumes).sort()
  return Math.max(LEAST_CAP, sorted[Math.ceil(sorted.length * 0.999) - 1]!)
}

/** 0 to 1: log(1 + volume) over log(1 + cap). */
export function demandFactor(volume: number, cap: number): number {
  return Math.min(1, Math.log1p(Math.max(0, volume)) / Math.log1p(Math.max(LEAST_CAP, cap)))
}

/** 1 for steady; up to 1.1 rising (at +50 % a year) and down to .6 fading (at −50 % a year). */
export function trendFactor(trend: Pick<Trend, 'direction' | 'yearly'>): number {
  if (trend.direction === 'steady') return 1
  return trend.yearly > 0 ? 1 + 0.1 * Math.min(1, trend.yearly / 0.5) : 1 - 0.4 * Math.min(1, -trend.yearly / 0.5)
}

/** 0 to 1: what a view of an intent brings, of what one of the best intent does. */
export function earningsFactor({ intents, other }: IntentRates, intent: Intent | null): number {
  return ((intent && intents[intent]) ?? other) / Math.max(other, ...Object.values(intents))
}

/** The factors, each known. */
interface Known {
  volume: number
  cap: number
  ease: number
  /** As `trendFactor` says. */
  trend: number
  /** As `earningsFactor` says. */
  earnings: number
  byChance: boolean
}

const earningsWeight = ({ earnings, brings }: WorthWeights) => (brings ? earnings : 0)
const totalOf = (weights: WorthWeights) => weights.demand + weights.ease + weights.trend + earningsWeight(weights)

function valueOf({ volume, cap, ease, trend, earnings, byChance }: Known, weights: WorthWeights): number {
  const total = totalOf(weights)
  const part = (value: number, weight: number) => (weight ? Math.pow(Math.max(0, value), weight / total) : 1)
  const others = part(trend, weights.trend) * part(earnings, earningsWeight(weights))
  // Searches × chance, the chance counting as much against the searches as their weights say.
  if (byChance && weights.demand && weights.ease) {
    const won = volume * Math.pow(ease, weights.ease / weights.demand)
    return 100 * part(demandFactor(won, cap), weights.demand + weights.ease) * others
  }
  return 100 * part(demandFactor(volume, cap), weights.demand) * part(ease, weights.ease) * others
}

/**
 * Worth, 0 to 100: for anyone the weighted geometric mean of demand, ease and trend, and of what its views bring where
 * that is known and has a weight. By a chance it is the same with
 * demand and ease in one: the demand of the searches that can be won, searches × chance, which ranks phrases by what
 * they bring. Any unknown factor with weight makes it unknown.
 */
export function worth(input: WorthInput, weights: WorthWeights = WORTH_WEIGHTS): number | null {
  const { volume, cap, ease, trend, intent = null, byChance = false } = input
  if ((volume === null && weights.demand) || (ease === null && weights.ease) || (trend === null && weights.trend))
    return null
  const { brings } = weights
  return Math.min(
    100,
    valueOf(
      {
        ...{ volume: volume ?? 0, cap, ease: ease ?? 0, trend: trend === null ? 1 : trendFactor(trend), byChance },
        earnings: brings && weights.earnings ? earningsFactor(brings, intent) : 1,
      },
      weights,
    ),
  )
}

/** The same with every factor laid open, for the working panel. */
export function worthWorking(input: WorthInput, weights: WorthWeights = WORTH_WEIGHTS): WorthWorking {
  const { volume, cap, ease, trend, intent = null, byChance = false } = input
  const { brings } = weights
  const value = worth(input, weights)
  const raw: Record<WorthFactorName, number | null> = {
    demand: volume === null ? null : demandFactor(volume, cap),
    ease,
    trend: trend === null ? null : trendFactor(trend),
    earnings: brings && earningsFactor(brings, intent),
  }
  const total = totalOf(weights)
  const known = {
    ...{ volume: volume ?? 0, cap, ease: ease ?? 0, byChance },
    ...{ trend: raw.trend ?? 1, earnings: raw.earnings ?? 1 },
  }
  const atBest = {
    ...{ demand: { volume: Math.max(LEAST_CAP, cap) }, ease: { ease: 1 } },
    ...{ trend: { trend: 1 }, earnings: { earnings: 1 } },
  }
  const counting = WORTH_FACTORS.filter(name => name !== 'earnings' || earningsWeight(weights))
  const factors = counting.map((name): WorthFactor => {
    const factor = raw[name]
    const weight = weights[name] / total
    if (factor === null || value === null) return { name, value: factor, weight, holdsBack: null }
    const without = valueOf({ ...known, ...atBest[name] }, weights)
    return { name, value: factor, weight, holdsBack: Math.max(0, Math.min(100, without) - value) }
  })
  const unknown = factors.find(factor => factor.value === null && factor.weight > 0)
  const worst = [...factors].sort((a, b) => (b.holdsBack ?? 0) - (a.holdsBack ?? 0))[0]!
  const heldBackBy = unknown ? unknown.name : (worst.holdsBack ?? 0) > 0.5 ? worst.name : null
  return { worth: value, factors, heldBackBy }
}

import { median, quantileSorted } from 'd3-array'
import { seeded } from '../random'

/** Figures of a video on a day, as they were told; `null` for what was not. */
export interface VideoDay {
  /** Days since 1970. */
  day: number
  impressions: number | null
  clicks: number | null
  views: number | null
  watchedSeconds: number | null
}
/** A video and its days. */
export interface VideoDays {
  /** The day it came out, days since 1970. */
  released: number
  /** Its length; `null` where it is not known. */
  seconds: number | null
  /** Oldest first. */
  days: readonly VideoDay[]
}

/** The first weeks of a video that are compared, in days. */
export const FIRST_DAYS = 28
/** Before so many days nothing is said. */
export const LEAST_DAYS = 3
/** So much of the days has to be known. */
const LEAST_KNOWN = 0.8
/** Fewer videos are no usual. */
export const LEAST_VIDEOS = 5

/** What happens to a video in its order: it is shown, clicked, and watched. */
export type FunnelStep = 'shown' | 'clicked' | 'watched'
export const FUNNEL: readonly FunnelStep[] = ['shown', 'clicked', 'watched']
/** Of how many, what share a step is; for `shown` its value alone. */
interface Step {
  value: number
  /** Things counted behind it: what chance moves by itself. */
  counted: number
}

/** A step of a video against what is usual for the channel at the same age. */
export interface StepComparison {
  step: FunnelStep
  /** Impressions a day, clicks an impression, or the part of the video that a view lasts. */
  own: number
  /** The median of the channel's other videos. */
  usual: number
  /** `own` / `usual`, with its 90 % interval: by which videos there happen to be, and by chance in the counts. */
  ratio: number
  low: number
  high: number
  /** How many of the channel's usual deviations it lies away from the usual, in logarithms. */
  deviations: number
  /** Other videos that tell of it. */
  of: number
  /** Whether it lies clearly below what is usual. */
  below: boolean
}
/** How a video's first weeks went, against the others of its channel. */
export interface FirstWeeks {
  /** Days that are compared: the age of the video, `FIRST_DAYS` at most. */
  days: number
  steps: StepComparison[]
  /** Where it falls short most; `null` where nothing lies clearly below. */
  cause: FunnelStep | null
  /** Why nothing can be said; `null` where something is. */
  unknown: 'too-early' | 'no-days' | 'few-videos' | null
}

/** Below so many usual deviations, and with so much less than usual at the least, it is called low. */
const LOW_DEVIATIONS = -1.64
const LOW_RATIO = 0.8
/** A channel whose videos happen to be alike is not that steady: the least deviation, in logarithms. */
const LEAST_DEVIATION: Record<FunnelStep, number> = { shown: 0.3, clicked: 0.12, watched: 0.08 }
/** Makes the median of absolute deviations the standard deviation where they are normal. */
const MAD_TO_DEVIATION = 1.4826
const RESAMPLES = 500
/** A view is watched for part of the video: how unlike one view is to another, as a share of the mean. */
const VIEW_DEVIATION = 0.8

/** The first days of a video in sum; `null` where too few of them are known. */
function firstSteps({ released, seconds, days }: VideoDays, length: number): Map<FunnelStep, Step> {
  const within = days.filter(({ day }) => day >= released && day < released + length)
  const found = new Map<FunnelStep, Step>()
  const sums = (of: readonly (keyof VideoDay)[]) => {
    const known = within.filter(each => of.every(key => each[key] !== null))
    if (known.length < LEAST_KNOWN * length) return null
    return { n: known.length, sum: of.map(key => known.reduce((all, each) => all + each[key]!, 0)) }
  }
  const shown = sums(['impressions'])
  if (shown && shown.sum[0]! > 0) found.set('shown', { value: shown.sum[0]! / shown.n, counted: shown.sum[0]! })
  const clicked = sums(['impressions', 'clicks'])
  if (clicked && clicked.sum[0]! > 0 && clicked.sum[1]! > 0)
    found.set('clicked', { value: clicked.sum[1]! / clicked.sum[0]!, counted: clicked.sum[1]! })
  const watched = sums(['views', 'watchedSeconds'])
  if (watched && seconds && watched.sum[0]! > 0 && watched.sum[1]! > 0)
    found.set('watched', {
      value: watched.sum[1]! / watched.sum[0]! / seconds,
      counted: watched.sum[0]! / VIEW_DEVIATION ** 2,
    })
  return found
}

/**
 * Compares a video's first weeks with those of the channel's other videos at the same age: was it shown, was it clicked
 * when shown, was it watched when clicked? The step that lies furthest below what is usual, in the channel's own
 * deviations, is where it falls short.
 *
 * @param own @param others of the same channel. @param today days since 1970; its figures are not complete yet.
 */
export function compareFirstWeeks(own: VideoDays, others: readonly VideoDays[], today: number): FirstWeeks {
  const days = Math.min(FIRST_DAYS, today - own.released)
  const nothing = (unknown: FirstWeeks['unknown']): FirstWeeks => ({ days, steps: [], cause: null, unknown })
  if (days < LEAST_DAYS) return nothing('too-early')
  const mine = firstSteps(own, days)
  if (!mine.size) return nothing('no-days')
  const theirs = others.filter(({ released }) => today - released >= days).map(other => firstSteps(other, days))
  const steps = FUNNEL.flatMap(step => {
    const value = mine.get(step)
    const values = theirs.flatMap(each => each.get(step) ?? [])
    return value && values.length >= LEAST_VIDEOS ? [compareStep(step, value, values)] : []
  })
  if (!steps.length) return nothing('few-videos')
  const low = steps.filter(({ below }) => below).sort((a, b) => a.deviations - b.deviations)
  return { days, steps, cause: low[0]?.step ?? null, unknown: null }
}

/** Days a month has. */
const MONTH = 30

/**
 * Views a month that a step brings less than is usual for the channel, the others as they are; `null` where that does
 * not follow from them.
 */
export function missedViews(steps: readonly StepComparison[], step: FunnelStep): number | null {
  const [shown, clicked] = (['shown', 'clicked'] as const).map(of => steps.find(each => each.step === of))
  if (!shown || !clicked) return null
  if (step === 'shown') return Math.max(0, shown.usual - shown.own) * clicked.own * MONTH
  if (step === 'clicked') return shown.own * Math.max(0, clicked.usual - clicked.own) * MONTH
  return null
}

// Looked up once: where the global object is guarded, as test runners do, looking it up takes most of the time.
const { log, sqrt, cos, floor, PI } = Math

/**
 * Medians of samples drawn with replacement, each with a normal deviate, in ascending order of what is made of them.
 * @param values of which samples are drawn.
 */
function resampledMedians(values: readonly number[], made: (middle: number, normal: number) => number): number[] {
  const sorted = [...values].sort((a, b) => a - b)
  const n = sorted.length
  const chance = seeded(n)
  const times = new Uint32Array(n)
  return Array.from({ length: RESAMPLES }, () => {
    times.fill(0)
    for (let i = 0; i < n; i++) times[floor(chance() * n)]!++
    /** The value that is the k-th of the sample, counted from 0. */
    const kth = (k: number) => {
      let at = 0
      for (let seen = times[0]!; seen <= k; seen += times[at]!) at++
      return sorted[at]!
    }
    const middle = n % 2 ? kth((n - 1) / 2) : (kth(n / 2 - 1) + kth(n / 2)) / 2
    // Box and Muller: what chance moves in the video's own counts.
    return made(middle, sqrt(-2 * log(1 - chance())) * cos(2 * PI * chance()))
  }).sort((a, b) => a - b)
}

function compareStep(step: FunnelStep, own: Step, others: readonly Step[]): StepComparison {
  const logs = others.map(({ value }) => Math.log(value))
  const usual = median(logs)!
  const noise = 1 / Math.sqrt(own.counted)
  const spread = MAD_TO_DEVIATION * median(logs, log => Math.abs(log - usual))!
  const deviation = Math.hypot(Math.max(spread, LEAST_DEVIATION[step]), noise)
  const difference = Math.log(own.value) - usual
  const resampled = resampledMedians(logs, (middle, normal) => log(own.value) + noise * normal - middle)
  const [low, high] = [0.05, 0.95].map(part => Math.exp(quantileSorted(resampled, part)!)) as [number, number]
  const ratio = Math.exp(difference)
  const deviations = difference / deviation
  return {
    step,
    own: own.value,
    usual: Math.exp(usual),
    ratio,
    low,
    high,
    deviations,
    of: others.length,
    below: deviations <= LOW_DEVIATIONS && ratio <= LOW_RATIO && high < 1,
  }
}

/** A phrase that a video was made for, how hard its page was, and whether page one was reached. */
export interface Aimed {
  video: string
  /** 0 to 100. */
  difficulty: number
  won: boolean
  /** When the video came out, UTC milliseconds. */
  at: number
}
/** The difficulty that a channel wins half the time. */
export interface Reach {
  /** Its middle, and the 80 % of what it can be. */
  reach: number
  low: number
  high: number
  videos: number
  phrases: number
}

/** Fewer videos tell nothing. */
export const LEAST_REACH_VIDEOS = 5
/** Difficulties that are tried, and how steeply winning falls with them: difficulty by which odds fall e-fold. */
const REACHES = Array.from({ length: 131 }, (_, i) => i - 15)
const STEEPNESS = [3, 5, 8, 12, 18]
const SURE = 0.8
const { exp, log, sqrt } = Math

/**
 * The difficulty that a channel wins half the time, from phrases that its videos were made for: the chance to be on
 * page one is 1 / (1 + exp((difficulty − reach) / s)), every reach and a few steepnesses s being alike before. Phrases
 * of one video share its luck: together they weigh as much as the square root of their number.
 *
 * @returns `null` with fewer than `LEAST_REACH_VIDEOS` videos.
 */
export function reachOf(aimed: readonly Aimed[]): Reach | null {
  const ofVideo = new Map<string, number>()
  for (const { video } of aimed) ofVideo.set(video, (ofVideo.get(video) ?? 0) + 1)
  if (ofVideo.size < LEAST_REACH_VIDEOS) return null
  const logs = REACHES.flatMap(reach =>
    STEEPNESS.map(steepness => {
      let sum = 0
      for (const { video, difficulty, won } of aimed) {
        const z = (difficulty - reach) / steepness
        // log(1 / (1 + e^z)) or log(1 / (1 + e^−z)), without running over.
        const side = won ? z : -z
        sum -= (side > 0 ? side + log(1 + exp(-side)) : log(1 + exp(side))) / sqrt(ofVideo.get(video)!)
      }
      return sum
    }),
  )
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity)
  const weights = REACHES.map((_, i) =>
    STEEPNESS.reduce((sum, __, k) => sum + exp(logs[i * STEEPNESS.length + k]! - most), 0),
  )
  const all = weights.reduce((a, b) => a + b, 0)
  const quantile = (part: number) => {
    let passed = 0
    for (const [i, weight] of weights.entries()) {
      if ((passed + weight) / all >= part) return REACHES[i]! - 0.5 + (part * all - passed) / weight
      passed += weight
    }
    return REACHES.at(-1)!
  }
  const held = (value: number) => Math.min(100, Math.max(0, value))
  return {
    reach: held(quantile(0.5)),
    low: held(quantile((1 - SURE) / 2)),
    high: held(quantile((1 + SURE) / 2)),
    videos: ofVideo.size,
    phrases: aimed.length,
  }
}

/** How a reach grew: as it stood with the videos that were out by each of these times, oldest first. */
export function reachOverTime(aimed: readonly Aimed[], times: readonly number[]): { at: number; reach: Reach }[] {
  return times.flatMap(at => {
    const reach = reachOf(aimed.filter(each => each.at <= at))
    return reach ? [{ at, reach }] : []
  })
}

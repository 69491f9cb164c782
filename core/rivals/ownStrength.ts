import { median } from 'd3-array'
import { pull, reach, viewsPerDay, STRENGTH_WEIGHTS } from './strength'

export interface OwnChannel {
  /** `null` when nobody said. */
  subscribers: number | null
  videos: readonly { views: number; publishedAt: number }[]
}

export interface OwnStrength {
  /** 0 to 1, of a well-worded video. */
  strength: number
  reach: number | null
  pull: number | null
  /** Median views a day of the last ten videos. */
  viewsPerDay: number | null
  /** How many videos it was read from. */
  videos: number
}

const LAST = 10

/**
 * How strong a well-worded video of a channel stands: targeting 1, reach from its subscribers, pull
 * from the median views a day of its last ten videos over their life. A part nobody told leaves
 * its weight to the others; with neither subscribers nor videos nothing can be said.
 *
 * @param at UTC milliseconds at which the views were counted.
 */
export function ownStrength({ subscribers, videos }: OwnChannel, at: number): OwnStrength | null {
  const last = [...videos]
    .filter(video => video.publishedAt <= at)
    .sort((a, b) => b.publishedAt - a.publishedAt)
    .slice(0, LAST)
  const daily = median(last.map(video => viewsPerDay(video.views, video.publishedAt, at))) ?? null
  if (subscribers === null && daily === null) return null
  const a = subscribers === null ? null : reach(subscribers)
  const v = daily === null ? null : pull(daily)
  let sum = STRENGTH_WEIGHTS.targeting
  let weight = STRENGTH_WEIGHTS.targeting
  if (a !== null) {
    sum += STRENGTH_WEIGHTS.reach * a
    weight += STRENGTH_WEIGHTS.reach
  }
  if (v !== null) {
    sum += STRENGTH_WEIGHTS.pull * v
    weight += STRENGTH_WEIGHTS.pull
  }
  return { strength: sum / weight, reach: a, pull: v, viewsPerDay: daily, videos: last.length }
}

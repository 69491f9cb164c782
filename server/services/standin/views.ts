import { DAY } from '../../../core/time'

/** How views grow with age: slower and slower. */
const GROWING = 0.85

/** What of a video tells its views on any day. */
export interface KeptViews {
  published_at: number
  /** Of a live video those it has now; of another one those of the day on which the world was made. */
  views: number
  live: 0 | 1
  /** What it gathered beside its curve until a day, and what it gathers a day since. */
  gained: number
  gain: number
  gain_on: number
}

/**
 * What the views of the day on which the world was made become by another day: less before it, more after it, none
 * before the video was published.
 */
export function viewsBy(day: number, publishedAt: number, madeOn: number): number {
  if (publishedAt > day) return 0
  const age = (at: number) => Math.max(1, (at - publishedAt) / DAY)
  return Math.pow(age(day) / age(madeOn), GROWING)
}

/** What a video gathered beside its curve by a day; less than 0 where its places bring less than they did. */
export const gainedBy = ({ gained, gain, gain_on }: Pick<KeptViews, 'gained' | 'gain' | 'gain_on'>, day: number) =>
  gained + (gain * Math.max(0, day - gain_on)) / DAY

/** Views of a video on a day, not rounded. */
export function viewsOn(video: KeptViews, day: number, madeOn: number): number {
  if (video.live) return video.views
  const byCurve = video.views * viewsBy(day, video.published_at, madeOn)
  return byCurve && Math.max(0, byCurve + gainedBy(video, day))
}

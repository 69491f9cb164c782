import { seeded } from './chance'

/** What viewers do with what they are shown. Drawn from the world's seed, as its ranking is. */
export function viewersOf(seed: number) {
  const random = seeded(seed ^ 0x71e3e5)
  const between = (low: number, high: number) => low + (high - low) * random()
  return {
    /** The part of searchers that clicks the first result, and how fast that falls with the place. */
    first: between(0.18, 0.26),
    fall: between(1, 1.25),
    /** The part of subscribers that sees a new video on its first day, and how many days that lasts. */
    told: between(0.03, 0.06),
    lasting: between(1.5, 3),
    /** Views that suggestions bring for each view from elsewhere, for a video that is watched as most are. */
    suggested: between(0.2, 0.4),
    /** The part of viewers that subscribes. */
    subscribe: between(0.003, 0.006),
  }
}
export type Viewers = ReturnType<typeof viewersOf>

/** How much a video is liked where it is shown, from how often its results are clicked. */
export const likedBy = (clicks: number) => 0.5 + clicks

/** Clicks a day that a place on a search's page brings. */
export const clicksAt = ({ first, fall }: Viewers, searches: number, rank: number, clicks: number) =>
  searches * first * Math.pow(rank, -fall) * likedBy(clicks)

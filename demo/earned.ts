import type { EarnedLine, EarnedStore } from '../server/data/earned'
import type { VideoDayStore } from '../server/data/videoDays'
import type { SiteVideo } from '../server/services/contract'
import { rankDay } from '../core/ranks/standing'
import { seeded } from '../core/random'
import { randomNormal, randomPoisson } from 'd3-random'

/** Weeks back for which the workshop wrote down where a booking came from. */
const WEEKS = 12
/** Old videos are watched all over the world: nobody names them at the counter. */
const OLDEST = 185
/** Bookings for each view of a video, by what it is about: who sees what is broken books more than who mends it. */
const BOOKED: readonly { about: RegExp; rate: number }[] = [
  { about: /^why|rusty|noise|spongy|clicking/iu, rate: 1 / 25 },
]
const BOOKED_OTHERWISE = 1 / 140
/** The page for booking is opened so many times for each booking. */
const OPENED = 6
/** Pounds that a booking is worth. */
const VALUE = { mean: 46, spread: 14, least: 15 } as const

/** The workshop's book: bookings of each week by the video that people named, and clicks on its link to the page. */
export function giveEarned(
  earned: EarnedStore,
  videoDays: Pick<VideoDayStore, 'of'>,
  { videos, now }: { videos: readonly SiteVideo[]; now: number },
  workspace: string,
): number {
  const today = rankDay(now)
  const random = seeded(46)
  const poisson = randomPoisson.source(random)
  const value = randomNormal.source(random)(VALUE.mean, VALUE.spread)
  const lines: EarnedLine[] = []
  for (const { id, title, publishedAt } of videos) {
    if (today - rankDay(publishedAt ?? 0) > OLDEST) continue
    const rate = BOOKED.find(({ about }) => about.test(title))?.rate ?? BOOKED_OTHERWISE
    for (let week = WEEKS; week >= 1; week--) {
      const from = today - 7 * week
      const days = videoDays.of(id, from, from + 7)
      const last = days.at(-1)
      if (!last) continue
      const views = days.reduce((sum, day) => sum + (day.views ?? 0), 0)
      const line = { video: id, day: last.day, link: '' }
      const clicks = poisson(views * rate * OPENED)()
      if (clicks) lines.push({ ...line, kind: 'click', count: clicks, value: null })
      const count = poisson(views * rate)()
      if (!count) continue
      const paid = Array.from({ length: count }, () => Math.max(VALUE.least, Math.round(value())))
      lines.push({ ...line, kind: 'order', count, value: paid.reduce((a, b) => a + b, 0) })
    }
  }
  earned.save(workspace, lines)
  return lines.length
}

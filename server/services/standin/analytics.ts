import { DAY } from '../../../core/time'
import type { DayFigures, SiteAnalytics, SiteAudience, VideoSite } from '../contract'
import { SITE, type Answering } from './answering'
import { hash, seeded } from './chance'
import { dayOf } from './clock'
import { byChance, formulaDays, luckOf } from './formulaDays'
import type { Before } from './watching'
import type { OpenWorld } from './openWorld'

const MOST_DAYS = 400

interface VideoRow {
  id: number
  code: string
  published_at: number
  seconds: number
  views: number
  watched: number
  clicks: number
  live: 0 | 1
  since: number | null
  views_before: number | null
  before: string | null
}
interface DayRow {
  day: number
  impressions: number
  clicks: number
  search: number
  suggested: number
  subscribers: number
  web: number
  elsewhere: number
  watched: number
}

const nameOf = (day: number) => new Date(day).toISOString().slice(0, 10)

/** The part of viewers still there at each tenth: its mean is the part that is watched. */
export function retentionOf(watched: number): number[] {
  const end = 0.3 * watched
  const power = (1 - end) / (watched - end) - 1
  return Array.from({ length: 11 }, (_, i) => end + (1 - end) * Math.pow(1 - i / 10, power))
}

/** What the site tells the owner of a channel of its videos and viewers. */
export function siteAnalytics(
  { db, clock, seed }: OpenWorld,
  { call, answer }: Answering,
): Pick<VideoSite, 'analytics' | 'audience'> {
  const own = db.prepare<[string], VideoRow>(
    `SELECT v.id, v.code, v.published_at, v.seconds, v.views, v.watched, v.clicks, v.live, l.since, l.views_before, l.before
      FROM video v JOIN owner o ON o.channel_id = v.channel_id LEFT JOIN live l ON l.video_id = v.id
      WHERE v.code = ? AND o.authorised = 1 AND o.rights LIKE '%"analytics"%'`,
  )
  const rows = db.prepare<[number, number], DayRow>(
    'SELECT * FROM day_figures WHERE video_id = ? AND day >= ? ORDER BY day',
  )
  const gains = db.prepare<[number], { day: number; gain: number }>(
    'SELECT day, gain FROM course WHERE video_id = ? ORDER BY day DESC',
  )
  const ours = db.prepare<[string], { title: string }>(
    `SELECT c.title FROM owner o JOIN channel c ON c.id = o.channel_id
      WHERE c.code = ? AND o.authorised = 1 AND o.rights LIKE '%"analytics"%'`,
  )

  /** Days on which a video's views followed a formula. */
  function* byFormula(video: VideoRow, from: number, to: number): Generator<DayFigures> {
    // A change says nothing of the days before it.
    const before = video.before === null ? video : (JSON.parse(video.before) as Before)
    const base = { ...video, clicks: before.clicks, views: video.live ? video.views_before! : video.views }
    const course = gains.all(video.id)
    const gainOn = (day: number) => course.find(each => each.day <= day)?.gain ?? 0
    const expected = formulaDays(base, clock.madeOn, gainOn)
    for (let day = from; day < to; day += DAY) {
      const { impressions, ...bySource } = byChance(expected(day), luckOf(video.code, day, seed))
      const clicks = bySource.search + bySource.suggested + bySource.subscribers
      const views = clicks + bySource.web + bySource.elsewhere
      const watchedSeconds = Math.round(views * video.seconds * before.watched)
      yield { day: nameOf(day), impressions, clicks, views, bySource, watchedSeconds }
    }
  }
  const daily = (row: DayRow): DayFigures => {
    const { search, suggested, subscribers, web, elsewhere } = row
    return {
      day: nameOf(row.day),
      impressions: row.impressions,
      clicks: row.clicks,
      views: search + suggested + subscribers + web + elsewhere,
      bySource: { search, suggested, subscribers, web, elsewhere },
      watchedSeconds: row.watched,
    }
  }

  return {
    analytics: call((id: string) => {
      const video = own.get(id)
      if (!video) return answer(SITE, null)
      const today = dayOf(clock.now())
      const from = Math.max(dayOf(video.published_at), today - MOST_DAYS * DAY)
      const until = video.live ? Math.min(today, video.since!) : today
      const days = [...byFormula(video, from, until), ...rows.all(video.id, from).map(daily)]
      return answer<SiteAnalytics>(SITE, { days, retention: retentionOf(video.watched) })
    }),
    audience: call((channel: string) => {
      const found = ours.get(channel)
      if (!found) return answer(SITE, null)
      // Most are there in the evening, at weekends also by day; each channel's viewers a little earlier or later.
      const traits = seeded(hash(channel))
      const evening = 18 + Math.floor(4 * traits())
      const weekend = 0.8 + 0.7 * traits()
      const hours = Array.from({ length: 168 }, (_, hour) => {
        const [weekday, clockHour] = [Math.floor(hour / 24), hour % 24]
        const near = Math.exp(-Math.pow((((clockHour - evening + 36) % 24) - 12) / 3.5, 2))
        const byDay = weekday >= 5 ? 0.35 * weekend : 0.18
        return (0.04 + near + byDay * Math.exp(-Math.pow((clockHour - 13) / 5, 2))) * (weekday >= 5 ? weekend : 1)
      })
      const sum = hours.reduce((a, b) => a + b, 0)
      return answer<SiteAudience>(SITE, { hours: hours.map(hour => hour / sum) })
    }),
  }
}

import type { SiteVideo } from '../contract'
import { hash, seeded } from './chance'
import type { OpenWorld } from './openWorld'
import { thumbnail } from './thumbnail'
import { viewsOn, type KeptViews } from './views'

export interface VideoRow extends KeptViews {
  id: number
  code: string
  title: string
  description: string
  tags: string
  likes: number
  comments: number
  dislikes: number
  seconds: number
  channel_code: string
  channel_title: string
  subscribers: number
  hidden: number
  palette: number
  shows_dislikes: number
  own_thumbnail: string | null
  own_sheet: string | null
  trade: string
}

/** A picture the site shows is this small; a larger one is kept, and the site draws one of its own to show. */
const SHOWN_THUMBNAIL = 20_000

/** What channels of a trade call their videos, mostly. */
const CATEGORIES: Record<string, string> = {
  bicycle: 'Workshop',
  cars: 'Cars',
  jewellery: 'Crafts',
  kitchen: 'Food',
  music: 'Music',
  riding: 'Animals',
  speaking: 'Education',
}
const OTHER = 'How to'
/** The part of videos in another category, and of those in none. */
const [ASTRAY, NONE] = [0.2, 0.1]

/** What was said when it was published; of a video the world began with, what its trade says. */
function categoryOf({ own_sheet, trade, code }: VideoRow): string | null {
  if (own_sheet) return (JSON.parse(own_sheet) as { category?: string | null }).category ?? null
  const roll = seeded(hash(`${code} category`))()
  return roll < NONE ? null : roll < NONE + ASTRAY ? OTHER : (CATEGORIES[trade] ?? OTHER)
}

/** Videos as the site shows them on the day its clock stands at. */
export function siteVideos({ db, clock }: OpenWorld) {
  const video = db.prepare<[number], VideoRow>(
    `SELECT v.*, c.code AS channel_code, c.title AS channel_title, c.subscribers, c.hidden, c.palette, c.shows_dislikes,
      c.trade, r.thumbnail AS own_thumbnail, r.sheet AS own_sheet
      FROM video v JOIN channel c ON c.id = v.channel_id LEFT JOIN release r ON r.video_id = v.id WHERE v.id = ?`,
  )
  return function toVideo(id: number): SiteVideo {
    const row = video.get(id)!
    const views = viewsOn(row, clock.today(), clock.madeOn)
    const grown = row.views ? views / row.views : 1
    return {
      id: row.code,
      title: row.title,
      description: row.description,
      tags: JSON.parse(row.tags) as string[],
      channel: { id: row.channel_code, title: row.channel_title, subscribers: row.hidden ? null : row.subscribers },
      views: Math.round(views),
      likes: Math.round(row.likes * grown),
      dislikes: row.shows_dislikes ? Math.round(row.dislikes * grown) : null,
      comments: Math.round(row.comments * grown),
      publishedAt: row.published_at,
      durationSeconds: row.seconds,
      category: categoryOf(row),
      thumbnail:
        row.own_thumbnail && row.own_thumbnail.length <= SHOWN_THUMBNAIL
          ? row.own_thumbnail
          : thumbnail(row.code, row.palette),
    }
  }
}

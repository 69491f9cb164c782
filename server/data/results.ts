import { MODEL_VERSION } from '../../core/modelVersion'
import { viewsPerDay } from '../../core/rivals/strength'
import type { Difficulty } from '../../core/rivals/difficulty'
import type { ResultsAnswer } from '../../shared/phrases'
import type { SiteVideo } from '../services/contract'
import { relaxedTransaction, type Db } from './open'

/** A result page as read, with what was worked out from it. Region '' is everywhere. */
export interface PageToKeep {
  phraseId: number
  region: string
  source: string
  at: number
  depth: number
  complete: boolean
  titleMatches: number | null
  videoBlock: boolean | null
  seats: { video: SiteVideo, strength: number }[]
  difficulty: Difficulty | null
}

/** A kept page as its row stands. */
export interface KeptPage {
  id: number
  source: string
  at: number
  depth: number
  complete: number
  title_matches: number | null
  difficulty: number | null
  front: number | null
  middle: number | null
  rest: number | null
  model_version: number
}

interface SeatRow {
  rank: number, code: string, title: string, description: string, tags: string, channel_id: string, channel_title: string, subscribers: number | null
  views: number, likes: number | null, comments: number | null, published_at: number, seconds: number, strength: number
}

export type ResultStore = ReturnType<typeof resultStore>

/** Result pages, the videos and channels on them, and the page that stands for each phrase. */
export function resultStore(db: Db) {
  // Looked up, then added or set: several times faster a row than an upsert.
  const channelAt = db.prepare<[string], { at: number }>('SELECT at FROM channel WHERE id = ?')
  const addChannel = db.prepare('INSERT INTO channel (title, subscribers, at, id) VALUES (?, ?, ?, ?)')
  const setChannel = db.prepare('UPDATE channel SET title = ?, subscribers = ?, at = ? WHERE id = ?')
  const videoAt = db.prepare<[string], { id: number, at: number }>('SELECT id, at FROM video WHERE code = ?')
  const addVideo = db.prepare('INSERT INTO video (channel_id, title, description, tags, published_at, seconds, at, code) VALUES (?, ?, ?, ?, ?, ?, ?, ?)')
  const setVideo = db.prepare('UPDATE video SET channel_id = ?, title = ?, description = ?, tags = ?, published_at = ?, seconds = ?, at = ? WHERE code = ?')
  const addPage = db.prepare(`INSERT INTO result_page (phrase_id, region, source, at, depth, complete, title_matches, video_block, difficulty, front, middle, rest, model_version)
    VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`)
  const addSeat = db.prepare('INSERT INTO seat (page_id, rank, video_id, subscribers, views, likes, comments, strength) VALUES (?, ?, ?, ?, ?, ?, ?, ?)')
  const latest = db.prepare<[number, string], KeptPage>('SELECT r.* FROM standing_page s JOIN result_page r ON r.id = s.page_id WHERE s.phrase_id = ? AND s.region = ?')
  const stand = db.prepare('INSERT OR REPLACE INTO standing_page (phrase_id, region, page_id, difficulty, title_matches, video_block) VALUES (?, ?, ?, ?, ?, ?)')
  const seats = db.prepare<[number, number], SeatRow>(`SELECT s.rank, v.code, v.title, v.description, v.tags, v.channel_id, c.title AS channel_title, s.subscribers, s.views, s.likes, s.comments, v.published_at, v.seconds, s.strength
    FROM seat s JOIN video v ON v.id = s.video_id JOIN channel c ON c.id = v.channel_id WHERE s.page_id = ? AND s.rank <= ? ORDER BY s.rank`)

  /** Keeps what a video looked like when last seen. @returns its id. */
  function keepVideo(video: SiteVideo, at: number): number {
    const seen = videoAt.get(video.id)
    if (seen && seen.at >= at) return seen.id
    const told = [video.channel.id, video.title, video.description, JSON.stringify(video.tags), video.publishedAt, video.durationSeconds, at, video.id]
    if (!seen) return Number(addVideo.run(...told).lastInsertRowid)
    setVideo.run(...told)
    return seen.id
  }

  const keep = relaxedTransaction(db, (pages: readonly PageToKeep[]) => {
    for (const page of pages) {
      const { phraseId, region, difficulty } = page
      const block = page.videoBlock === null ? null : Number(page.videoBlock)
      const id = Number(addPage.run(phraseId, region, page.source, page.at, page.depth, Number(page.complete), page.titleMatches, block,
        difficulty?.page ?? null, difficulty?.front ?? null, difficulty?.middle ?? null, difficulty?.rest ?? null, MODEL_VERSION).lastInsertRowid)
      page.seats.forEach(({ video, strength }, i) => {
        const { channel } = video
        const known = channelAt.get(channel.id)
        if (!known || known.at < page.at) (known ? setChannel : addChannel).run(channel.title, channel.subscribers, page.at, channel.id)
        addSeat.run(id, i + 1, keepVideo(video, page.at), channel.subscribers, video.views, video.likes, video.comments, strength)
      })
      // A page that came back half is no reason to forget a whole one.
      const before = latest.get(phraseId, region)
      if (page.complete || !before?.complete) stand.run(phraseId, region, id, difficulty?.page ?? null, page.titleMatches, block)
    }
  })

  return {
    /** Keeps pages in one transaction; each whole one stands for its phrase from now on. */
    keep: (pages: readonly PageToKeep[]) => { if (pages.length) keep(pages) },
    /** The page that stands for a phrase in a region: the newest whole one, or the newest if none is whole. */
    latest: (phraseId: number, region: string): KeptPage | null => latest.get(phraseId, region) ?? null,
    /** The seats of a page down to a depth, as the API tells them. */
    rows: (page: Pick<KeptPage, 'id' | 'at'>, depth: number): ResultsAnswer['rows'] => seats.all(page.id, depth).map(row => ({
      rank: row.rank, videoId: row.code, title: row.title, description: row.description, tags: JSON.parse(row.tags) as string[],
      channel: { id: row.channel_id, title: row.channel_title, subscribers: row.subscribers },
      views: row.views, viewsPerDay: viewsPerDay(row.views, row.published_at, page.at), likes: row.likes, comments: row.comments,
      publishedAt: row.published_at, durationSeconds: row.seconds, strength: row.strength,
    })),
  }
}

import { DAY } from '../../core/time'
import { viewsPerDay } from '../../core/rivals/strength'
import type { ObservedVideo } from '../../core/rivals/upsets'
import type { SiteChannel, SiteVideo } from '../services/contract'
import { relaxedTransaction, type Db } from './open'

export interface VideoRow {
  id: number
  code: string
  channel_id: string
  channel_title: string
  subscribers: number | null
  title: string
  description: string | null
  tags: string | null
  published_at: number | null
  seconds: number | null
  views: number | null
  likes: number | null
  dislikes: number | null
  comments: number | null
  thumbnail: string | null
  category: string | null
  at: number
}
export interface ChannelRow {
  id: string
  title: string
  subscribers: number | null
  founded_at: number | null
  videos: number | null
  listed_at: number | null
  at: number
}

/** A row as the services' own shape. */
export const toSiteVideo = (row: VideoRow): SiteVideo => ({
  id: row.code,
  title: row.title,
  description: row.description,
  tags: row.tags === null ? null : (JSON.parse(row.tags) as string[]),
  channel: { id: row.channel_id, title: row.channel_title, subscribers: row.subscribers },
  views: row.views,
  likes: row.likes,
  dislikes: row.dislikes,
  comments: row.comments,
  publishedAt: row.published_at,
  durationSeconds: row.seconds,
  thumbnail: row.thumbnail,
  category: row.category,
})

export type VideoStore = ReturnType<typeof videoStore>

const VIDEO = 'SELECT v.*, c.title AS channel_title, c.subscribers FROM video v JOIN channel c ON c.id = v.channel_id'

/** Videos and channels as last observed. What a newer observation lacks is kept from older ones. */
export function videoStore(db: Db) {
  // Looked up, then added or set: several times faster a row than an upsert.
  const channelAt = db.prepare<[string], { at: number }>('SELECT at FROM channel WHERE id = ?')
  const addChannel = db.prepare(
    'INSERT INTO channel (title, subscribers, founded_at, videos, at, id) VALUES (?, ?, ?, ?, ?, ?)',
  )
  const setChannel = db.prepare(
    `UPDATE channel
      SET title = ?, subscribers = ?, founded_at = coalesce(?, founded_at), videos = coalesce(?, videos), at = ?
      WHERE id = ?`,
  )
  const videoAt = db.prepare<[string], { id: number; at: number }>('SELECT id, at FROM video WHERE code = ?')
  const addVideo = db.prepare(
    `INSERT INTO video (channel_id, title, description, tags, published_at, seconds, views, likes, dislikes, comments, thumbnail, category, at, code)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  )
  const setVideo = db.prepare(`UPDATE video
      SET channel_id = ?, title = ?, description = coalesce(?, description), tags = coalesce(?, tags), published_at = coalesce(?, published_at), seconds = coalesce(?, seconds),
    views = coalesce(?, views), likes = coalesce(?, likes), dislikes = coalesce(?, dislikes), comments = coalesce(?, comments), thumbnail = coalesce(?, thumbnail), category = coalesce(?, category), at = ?
    WHERE code = ?`)
  const videoRow = db.prepare<[string], VideoRow>(`${VIDEO} WHERE v.code = ?`)
  const channelRow = db.prepare<[string], ChannelRow>('SELECT * FROM channel WHERE id = ?')
  const ofChannel = db.prepare<[string, number], VideoRow>(
    `${VIDEO} WHERE v.channel_id = ? ORDER BY v.published_at DESC LIMIT ?`,
  )
  const outBy = db.prepare<[string, number, number], VideoRow>(
    `${VIDEO} WHERE v.channel_id = ? AND v.published_at < ? ORDER BY v.published_at DESC LIMIT ?`,
  )
  const countedOfChannel = db.prepare<[string], { views: number; publishedAt: number; at: number }>(
    `SELECT views, published_at AS publishedAt, at FROM video
      WHERE channel_id = ? AND views IS NOT NULL AND published_at IS NOT NULL ORDER BY published_at DESC LIMIT 2000`,
  )
  const codesOfChannel = db
    .prepare<[string], string>('SELECT code FROM video WHERE channel_id = ? ORDER BY published_at DESC LIMIT 20000')
    .pluck()
  const titlesOfChannel = db.prepare<[string, number], { code: string; title: string }>(
    'SELECT code, title FROM video WHERE channel_id = ? ORDER BY published_at DESC LIMIT ?',
  )
  const listed = db.prepare('UPDATE channel SET listed_at = ? WHERE id = ?')
  const counted = db.prepare<[], number>('SELECT coalesce(max(id), 0) FROM video').pluck()
  const observed = db
    .prepare<[], [number, number, number, number]>(
      `SELECT c.subscribers, v.published_at, v.views, v.at FROM video v JOIN channel c ON c.id = v.channel_id
        WHERE c.subscribers IS NOT NULL AND v.published_at IS NOT NULL AND v.views IS NOT NULL`,
    )
    .raw()
  const phrasesOf = db.prepare<
    [number],
    { text: string; region: string; rank: number; at: number }
  >(`SELECT p.text, r.region, s.rank, r.at FROM seat s JOIN standing_page g ON g.page_id = s.page_id
    JOIN result_page r ON r.id = g.page_id JOIN phrase p ON p.id = g.phrase_id
    WHERE s.video_id = ? ORDER BY s.rank, p.text LIMIT 60`)
  const phrasesOfChannel = db.prepare<
    [string],
    { text: string; region: string; rank: number }
  >(`SELECT p.text, r.region, min(s.rank) AS rank FROM video v JOIN seat s ON s.video_id = v.id
    JOIN standing_page g ON g.page_id = s.page_id JOIN result_page r ON r.id = g.page_id
    JOIN phrase p ON p.id = g.phrase_id
    WHERE v.channel_id = ? GROUP BY p.id, r.region ORDER BY rank, p.text LIMIT 200`)
  const standingOf = db.prepare<
    [string, string, string],
    { phrase: string; code: string; title: string; rank: number }
  >(`SELECT p.text AS phrase, v.code, v.title, s.rank FROM video v JOIN seat s ON s.video_id = v.id
    JOIN standing_page g ON g.page_id = s.page_id JOIN phrase p ON p.id = g.phrase_id
    WHERE v.channel_id = ? AND g.region = ? AND +p.language = ? AND s.rank <= 20 ORDER BY s.rank, p.text LIMIT 5000`)
  const dropTrending = db.prepare('DELETE FROM trending WHERE region = ?')
  const addTrending = db.prepare(
    'INSERT OR REPLACE INTO trending (region, rank, video_id, source, at) VALUES (?, ?, ?, ?, ?)',
  )
  const trendingRows = db.prepare<[string], VideoRow & { rank: number; source: string; told_at: number }>(
    `SELECT t.rank, t.source, t.at AS told_at, v.*, c.title AS channel_title, c.subscribers FROM trending t
      JOIN video v ON v.id = t.video_id JOIN channel c ON c.id = v.channel_id WHERE t.region = ? ORDER BY t.rank`,
  )
  const findChannels = db.prepare<[string], ChannelRow>(
    "SELECT * FROM channel WHERE title LIKE ? ESCAPE '\\' ORDER BY subscribers DESC LIMIT 30",
  )

  function saveChannel(
    {
      id,
      title,
      subscribers,
      foundedAt = null,
      videos = null,
    }: Pick<SiteChannel, 'id' | 'title' | 'subscribers'> & Partial<SiteChannel>,
    at: number,
  ): void {
    const known = channelAt.get(id)
    if (!known) addChannel.run(title, subscribers, foundedAt, videos, at, id)
    else if (known.at <= at) setChannel.run(title, subscribers, foundedAt, videos, at, id)
  }

  /**
   * Keeps what a video and its channel looked like when seen. To be called within a transaction.
   * @returns the video's id.
   */
  function saveVideo(video: SiteVideo, at: number): number {
    saveChannel(video.channel, at)
    const seen = videoAt.get(video.id)
    if (seen && seen.at > at) return seen.id
    const values = [
      video.channel.id,
      video.title,
      video.description,
      video.tags && JSON.stringify(video.tags),
      video.publishedAt,
      video.durationSeconds,
      video.views,
      video.likes,
      video.dislikes,
      video.comments,
      video.thumbnail,
      video.category ?? null,
      at,
      video.id,
    ]
    if (!seen) return Number(addVideo.run(...values).lastInsertRowid)
    setVideo.run(...values)
    return seen.id
  }

  return {
    saveVideo,
    /** Keeps videos seen outside a result page: of a channel, imported. 500 at most in one go. */
    saveVideos: relaxedTransaction(db, (videos: readonly SiteVideo[], at: number) => {
      for (const video of videos) saveVideo(video, at)
    }),
    saveChannel: relaxedTransaction(db, (channel: SiteChannel, at: number) => {
      saveChannel(channel, at)
    }),
    /** Notes that the list of a channel's videos is complete. */
    listedWhole: (id: string, at: number) => {
      listed.run(at, id)
    },
    video: (code: string): VideoRow | null => videoRow.get(code) ?? null,
    channel: (id: string): ChannelRow | null => channelRow.get(id) ?? null,
    /** A channel's videos with all their texts, newest first: as many as are needed, for texts are long. */
    ofChannel: (id: string, most = 2000): VideoRow[] => ofChannel.all(id, most),
    /** Those that were out before a time, with all their texts, newest first. */
    outBy: (id: string, before: number, most: number): VideoRow[] => outBy.all(id, before, most),
    /** The views of a channel's videos, where they and the release are known, newest first. */
    countedOfChannel: (id: string) => countedOfChannel.all(id),
    /** The ids of all of a channel's videos, newest first; 20,000 at most. */
    codesOfChannel: (id: string): string[] => codesOfChannel.all(id),
    /** The titles of a channel's videos, newest first. */
    titlesOfChannel: (id: string, most = 20_000) => titlesOfChannel.all(id, most),
    /** Channels whose name holds a text, the largest first. */
    findChannels: (text: string): ChannelRow[] => findChannels.all(`%${text.replace(/[\\%_]/gu, '\\$&')}%`),
    /** The phrases a video stands for on kept pages, best rank first. */
    phrasesOf: (id: number) => phrasesOf.all(id),
    phrasesOfChannel: (id: string) => phrasesOfChannel.all(id),
    /** Where a channel's videos stand on first pages kept of a region, best rank first. */
    standingOf: (id: string, region: string, language: string) => standingOf.all(id, region, language),
    /** About how many videos there are: videos are never deleted. What the model of views is kept by. */
    count: () => counted.get()!,
    /** Everything observed with size, age and views, for the model of what they let expect. */
    *observed(): Generator<ObservedVideo> {
      for (const [subscribers, publishedAt, views, at] of observed.iterate())
        yield {
          subscribers,
          ageDays: Math.max(1, (at - publishedAt) / DAY),
          viewsPerDay: viewsPerDay(views, publishedAt, at),
        }
    },
    saveTrending: relaxedTransaction(db, (region: string, videos: readonly SiteVideo[], source: string, at: number) => {
      dropTrending.run(region)
      videos.forEach((video, i) => addTrending.run(region, i + 1, saveVideo(video, at), source, at))
    }),
    trending: (region: string) => trendingRows.all(region),
  }
}

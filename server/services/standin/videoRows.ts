import type { Database } from 'better-sqlite3'
import type { WorldVideo } from './videos'

const COLUMNS = `code, channel_id, language, title, description, tags, captions, published_at, seconds, views, likes, comments, dislikes,
  clicks, watched`
const valuesOf = (v: WorldVideo) => [
  v.id,
  v.channel + 1,
  v.language,
  v.title,
  v.description,
  JSON.stringify(v.tags),
  v.captions,
  v.publishedAt,
  v.seconds,
  v.views,
  v.likes,
  v.comments,
  v.dislikes,
  v.clicks,
  v.watched,
]
/** Words of tags do not run into one another. */
const tagWords = (tags: readonly string[]) => tags.join(' , ')

/** The text of a video that search reads. */
export interface VideoWords {
  title: string
  description: string
  tags: string[]
}

/** Adds a video and its words, and takes words out. Ids count on from those there are. */
export function videoRows(db: Database) {
  const add = db.prepare(
    `INSERT INTO video (${COLUMNS}) VALUES (${COLUMNS.split(',')
      .map(() => '?')
      .join(', ')})`,
  )
  const addWords = db.prepare('INSERT INTO video_words (rowid, title, description, tags) VALUES (?, ?, ?, ?)')
  const removeWords = db.prepare(
    "INSERT INTO video_words (video_words, rowid, title, description, tags) VALUES ('delete', ?, ?, ?, ?)",
  )
  return {
    /** @returns the video's number. */
    add: (video: WorldVideo): number => {
      const id = Number(add.run(...valuesOf(video)).lastInsertRowid)
      addWords.run(id, video.title, video.description, tagWords(video.tags))
      return id
    },
    replaceWords: (id: number, before: VideoWords, after: VideoWords): void => {
      removeWords.run(id, before.title, before.description, tagWords(before.tags))
      addWords.run(id, after.title, after.description, tagWords(after.tags))
    },
  }
}

/** The videos a world begins with, in the order in which they are numbered. */
export function addVideos(db: Database, videos: readonly WorldVideo[]): void {
  const rows = videoRows(db)
  for (const video of videos) rows.add(video)
}

/** What will be published later. */
export function addComing(db: Database, videos: readonly WorldVideo[]): void {
  const add = db.prepare('INSERT INTO coming (published_at, video) VALUES (?, ?)')
  for (const video of videos) add.run(video.publishedAt, JSON.stringify(video))
}

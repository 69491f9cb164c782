import Database from 'better-sqlite3'
import { makePhrases } from './phrases'
import { standsFor, weightsOf } from './ranking'
import { makeVideos, videosAhead, type WorldVideo } from './videos'
import { SCHEMA } from './schema'
import { makePlaylists, type WorldPlaylist } from './playlists'
import { makeChannels, ownersOf, type WorldChannel } from './channels'
import { addComing, addVideos } from './videoRows'
import { inDigits } from '../../../core/text/inWords'

export interface WorldSize {
  phrases: number
  videos: number
  channels: number
}

export const DEMO_SIZE: WorldSize = { phrases: 40_000, videos: 8_000, channels: 600 }
export const DEMO_SEED = 20_117
/** Grows when a world made by an older generator must be made anew. */
export const WORLD_FORMAT = 5

/**
 * Makes a world in a new file. Same seed, size and day: the same world on any machine.
 *
 * @param newestDay UTC milliseconds of the world's newest day.
 * @param report called with what is being made, for a progress line.
 * @param wide its ranking is drawn within wide bounds.
 */
export function makeWorld(
  file: string,
  size: WorldSize,
  seed: number,
  newestDay: number,
  report: (what: string) => void = () => undefined,
  wide = false,
): void {
  const db = new Database(file)
  db.pragma('journal_mode = OFF')
  db.pragma('synchronous = OFF')
  db.exec(SCHEMA)
  const all = db.transaction(() => {
    report(`${inDigits(size.phrases)} phrases`)
    const phrases = makePhrases(size.phrases, seed)
    const addPhrase = db.prepare('INSERT INTO phrase VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)')
    const addWords = db.prepare('INSERT INTO phrase_words (rowid, text) VALUES (?, ?)')
    // Numbered by falling volume: a scan in row order is a scan by volume, and needs no sort.
    phrases.forEach((p, i) => {
      addPhrase.run(
        i + 1,
        p.text,
        p.language,
        p.trade,
        p.part,
        p.base,
        p.swing,
        p.peak % 12,
        p.growth,
        p.spikeAt,
        p.town,
      )
      addWords.run(i + 1, p.text)
    })
    db.exec(
      'CREATE UNIQUE INDEX phrase_text ON phrase (language, text); CREATE INDEX phrase_part ON phrase (trade, part)',
    )

    report(`${inDigits(size.channels)} channels and ${inDigits(size.videos)} videos`)
    const channels = makeChannels(size.channels, seed, newestDay)
    // Numbered by how well they stand whatever is searched: a search looks at the best of them first.
    const weights = weightsOf(seed, wide)
    const videos = makeVideos(size.videos, seed, channels, phrases, newestDay)
      .map(video => ({ video, stands: standsFor(weights, video, channels[video.channel]!, newestDay) }))
      .sort((a, b) => b.stands - a.stands)
      .map(({ video }) => video)
    addChannels(db, channels, videos)
    addVideos(db, videos)
    addComing(db, videosAhead(size.videos, seed, channels, phrases, newestDay))
    db.exec('CREATE INDEX video_channel ON video (channel_id); CREATE INDEX video_day ON video (published_at)')
    addPlaylists(db, makePlaylists(channels, videos, seed))
    const fact = db.prepare('INSERT INTO fact VALUES (?, ?)')
    for (const [name, value] of Object.entries({ format: WORLD_FORMAT, seed, newestDay, wide: Number(wide), ...size }))
      fact.run(name, String(value))
    db.exec("INSERT INTO video_words (video_words, rank) VALUES ('rank', 'bm25(10.0, 2.0, 1.0)')")
    db.exec(
      "INSERT INTO phrase_words (phrase_words) VALUES ('optimize'); INSERT INTO video_words (video_words) VALUES ('optimize')",
    )
  })
  all()
  db.close()
}

function addChannels(db: Database.Database, channels: readonly WorldChannel[], videos: readonly WorldVideo[]): void {
  const count = new Array<number>(channels.length).fill(0)
  for (const video of videos) count[video.channel]!++
  const add = db.prepare('INSERT INTO channel VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)')
  channels.forEach((c, i) =>
    add.run(
      i + 1,
      c.id,
      c.title,
      c.trade,
      c.subscribers,
      c.hidden ? 1 : 0,
      c.foundedAt,
      c.standing,
      c.palette,
      count[i],
      c.showsDislikes ? 1 : 0,
    ),
  )
  const own = db.prepare('INSERT INTO owner VALUES (?, ?, ?)')
  for (const { channel, authorised, rights } of ownersOf(channels))
    own.run(channel + 1, authorised ? 1 : 0, JSON.stringify(rights))
}

function addPlaylists(db: Database.Database, playlists: readonly WorldPlaylist[]): void {
  const add = db.prepare('INSERT INTO playlist VALUES (?, ?, ?, ?, ?, ?, ?, NULL)')
  const addWords = db.prepare('INSERT INTO playlist_words (rowid, title, description) VALUES (?, ?, ?)')
  playlists.forEach((p, i) => {
    add.run(i + 1, p.id, p.channel + 1, p.title, p.description, JSON.stringify(p.videos), p.updatedAt)
    addWords.run(i + 1, p.title, p.description)
  })
}

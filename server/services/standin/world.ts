import Database from 'better-sqlite3'
import { makePhrases } from './phrases'
import { makeChannels } from './channels'
import { standsFor, weightsOf } from './ranking'
import { makeVideos } from './videos'
import { inDigits } from '../../../core/text/inWords'

export interface WorldSize {
  phrases: number
  videos: number
  channels: number
}

export const DEMO_SIZE: WorldSize = { phrases: 40_000, videos: 8_000, channels: 600 }
export const DEMO_SEED = 20_117
/** Grows when a world made by an older generator must be made anew. */
export const WORLD_FORMAT = 2

export const SCHEMA = `
  CREATE TABLE fact (name TEXT PRIMARY KEY, value TEXT NOT NULL) WITHOUT ROWID;
  CREATE TABLE phrase (id INTEGER PRIMARY KEY, text TEXT NOT NULL, language TEXT NOT NULL, trade TEXT NOT NULL, part TEXT NOT NULL, base REAL NOT NULL,
    swing REAL NOT NULL, peak INTEGER NOT NULL, growth REAL NOT NULL, spike_at INTEGER NOT NULL, town TEXT);
  CREATE VIRTUAL TABLE phrase_words USING fts5(text, content='', tokenize='porter unicode61 remove_diacritics 2', detail=none, prefix='1 2 3');
  CREATE TABLE channel (id INTEGER PRIMARY KEY, code TEXT NOT NULL UNIQUE, title TEXT NOT NULL, trade TEXT NOT NULL, subscribers INTEGER NOT NULL,
    hidden INTEGER NOT NULL, founded_at INTEGER NOT NULL, standing REAL NOT NULL, palette INTEGER NOT NULL, videos INTEGER NOT NULL DEFAULT 0);
  CREATE TABLE video (id INTEGER PRIMARY KEY, code TEXT NOT NULL UNIQUE, channel_id INTEGER NOT NULL REFERENCES channel, language TEXT NOT NULL, title TEXT NOT NULL,
    description TEXT NOT NULL, tags TEXT NOT NULL, captions TEXT, published_at INTEGER NOT NULL, seconds INTEGER NOT NULL, views INTEGER NOT NULL,
    likes INTEGER NOT NULL, comments INTEGER NOT NULL, clicks REAL NOT NULL, watched REAL NOT NULL);
  CREATE VIRTUAL TABLE video_words USING fts5(title, description, tags, content='', tokenize='porter unicode61 remove_diacritics 2');
`

/**
 * Makes a world in a new file. Same seed, size and day: the same world on any machine.
 *
 * @param newestDay UTC milliseconds of the world's newest day.
 * @param tell called with what is being made, for a progress line.
 */
export function makeWorld(
  file: string,
  size: WorldSize,
  seed: number,
  newestDay: number,
  report: (what: string) => void = () => undefined,
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
    const weights = weightsOf(seed)
    const videos = makeVideos(size.videos, seed, channels, phrases, newestDay)
      .map(video => ({ video, stands: standsFor(weights, video, channels[video.channel]!, newestDay) }))
      .sort((a, b) => b.stands - a.stands)
      .map(({ video }) => video)
    const count = new Array<number>(channels.length).fill(0)
    for (const video of videos) count[video.channel]!++
    const addChannel = db.prepare('INSERT INTO channel VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)')
    channels.forEach((c, i) =>
      addChannel.run(
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
      ),
    )
    const addVideo = db.prepare('INSERT INTO video VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)')
    const addVideoWords = db.prepare('INSERT INTO video_words (rowid, title, description, tags) VALUES (?, ?, ?, ?)')
    videos.forEach((v, i) => {
      addVideo.run(
        i + 1,
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
        v.clicks,
        v.watched,
      )
      addVideoWords.run(i + 1, v.title, v.description, v.tags.join(' , '))
    })
    db.exec('CREATE INDEX video_channel ON video (channel_id); CREATE INDEX video_day ON video (published_at)')
    const fact = db.prepare('INSERT INTO fact VALUES (?, ?)')
    for (const [name, value] of Object.entries({ format: WORLD_FORMAT, seed, newestDay, ...size }))
      fact.run(name, String(value))
    db.exec("INSERT INTO video_words (video_words, rank) VALUES ('rank', 'bm25(10.0, 2.0, 1.0)')")
    db.exec(
      "INSERT INTO phrase_words (phrase_words) VALUES ('optimize'); INSERT INTO video_words (video_words) VALUES ('optimize')",
    )
  })
  all()
  db.close()
}

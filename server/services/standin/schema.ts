import type { Database } from 'better-sqlite3'

/** What a video that is not live gathered beside its curve until a day, and what it gathers a day since. */
const GAINS = ['gained REAL NOT NULL DEFAULT 0', 'gain REAL NOT NULL DEFAULT 0', 'gain_on INTEGER NOT NULL DEFAULT 0']

const FOLLOWING = `
  -- The most searched pages, with the day on which each was last looked at, and what their places bring a day.
  CREATE TABLE IF NOT EXISTS followed (phrase_id INTEGER PRIMARY KEY REFERENCES phrase, day INTEGER NOT NULL);
  CREATE INDEX IF NOT EXISTS followed_day ON followed (day);
  CREATE TABLE IF NOT EXISTS place (phrase_id INTEGER NOT NULL REFERENCES phrase, video_id INTEGER NOT NULL REFERENCES video, clicks REAL NOT NULL,
    PRIMARY KEY (phrase_id, video_id)) WITHOUT ROWID;
  CREATE INDEX IF NOT EXISTS place_video ON place (video_id, clicks);
  -- What a video of an owner gathered a day beside its curve, from a day on: owners are told of each day.
  CREATE TABLE IF NOT EXISTS course (video_id INTEGER NOT NULL REFERENCES video, day INTEGER NOT NULL, gain REAL NOT NULL,
    PRIMARY KEY (video_id, day)) WITHOUT ROWID;
`

/** The tables of a world. Those after `coming` hold what happened since it was made. */
export const SCHEMA = `
  CREATE TABLE fact (name TEXT PRIMARY KEY, value TEXT NOT NULL) WITHOUT ROWID;
  CREATE TABLE phrase (id INTEGER PRIMARY KEY, text TEXT NOT NULL, language TEXT NOT NULL, trade TEXT NOT NULL, part TEXT NOT NULL, base REAL NOT NULL,
    swing REAL NOT NULL, peak INTEGER NOT NULL, growth REAL NOT NULL, spike_at INTEGER NOT NULL, town TEXT);
  CREATE VIRTUAL TABLE phrase_words USING fts5(text, content='', tokenize='porter unicode61 remove_diacritics 2', detail=none, prefix='1 2 3');
  CREATE TABLE channel (id INTEGER PRIMARY KEY, code TEXT NOT NULL UNIQUE, title TEXT NOT NULL, trade TEXT NOT NULL, subscribers INTEGER NOT NULL,
    hidden INTEGER NOT NULL, founded_at INTEGER NOT NULL, standing REAL NOT NULL, palette INTEGER NOT NULL, videos INTEGER NOT NULL DEFAULT 0,
    shows_dislikes INTEGER NOT NULL DEFAULT 0);

  -- The views of a video that is not live are those of the day on which the world was made: its growth is a formula.
  -- A live one was published or changed since, and gathers its views day by day.
  CREATE TABLE video (id INTEGER PRIMARY KEY, code TEXT NOT NULL UNIQUE, channel_id INTEGER NOT NULL REFERENCES channel, language TEXT NOT NULL, title TEXT NOT NULL,
    description TEXT NOT NULL, tags TEXT NOT NULL, captions TEXT, published_at INTEGER NOT NULL, seconds INTEGER NOT NULL, views INTEGER NOT NULL,
    likes INTEGER NOT NULL, comments INTEGER NOT NULL, dislikes INTEGER NOT NULL, clicks REAL NOT NULL, watched REAL NOT NULL,
    live INTEGER NOT NULL DEFAULT 0, shown INTEGER NOT NULL DEFAULT 1, ${GAINS.join(', ')});
  CREATE INDEX video_unlisted ON video (id) WHERE shown <> 1;
  CREATE VIRTUAL TABLE video_words USING fts5(title, description, tags, content='', tokenize='porter unicode61 remove_diacritics 2');
  CREATE TABLE playlist (id INTEGER PRIMARY KEY, code TEXT NOT NULL UNIQUE, channel_id INTEGER NOT NULL REFERENCES channel, title TEXT NOT NULL,
    description TEXT NOT NULL, videos TEXT NOT NULL, updated_at INTEGER NOT NULL, request TEXT UNIQUE);
  CREATE INDEX playlist_channel ON playlist (channel_id);
  CREATE VIRTUAL TABLE playlist_words USING fts5(title, description, content='', tokenize='porter unicode61 remove_diacritics 2');
  CREATE TABLE owner (channel_id INTEGER PRIMARY KEY REFERENCES channel, authorised INTEGER NOT NULL, rights TEXT NOT NULL);

  -- What other channels will publish in the days to come.
  CREATE TABLE coming (id INTEGER PRIMARY KEY, published_at INTEGER NOT NULL, video TEXT NOT NULL);
  CREATE INDEX coming_day ON coming (published_at);

  CREATE TABLE upload (id INTEGER PRIMARY KEY, code TEXT NOT NULL UNIQUE, request TEXT NOT NULL UNIQUE, channel_id INTEGER NOT NULL REFERENCES channel,
    name TEXT NOT NULL, bytes INTEGER NOT NULL, received INTEGER NOT NULL, seconds INTEGER NOT NULL, video_id INTEGER REFERENCES video);
  CREATE TABLE release (video_id INTEGER PRIMARY KEY REFERENCES video, request TEXT UNIQUE, thumbnail TEXT, sheet TEXT NOT NULL, cards TEXT NOT NULL,
    end_screen TEXT, sent_at INTEGER NOT NULL);
  -- What a live video had by the formula before it became live, since when it is, and what its words, standing
  -- and clicks brought it then, as JSON: what changes since is told from that. NULL for one published since.
  CREATE TABLE live (video_id INTEGER PRIMARY KEY REFERENCES video, since INTEGER NOT NULL, views_before INTEGER NOT NULL, before TEXT);
  -- The searches that can find a live video: what its words score there, NULL where it is not found.
  CREATE TABLE aim (video_id INTEGER NOT NULL REFERENCES video, phrase_id INTEGER NOT NULL REFERENCES phrase, text REAL, PRIMARY KEY (video_id, phrase_id)) WITHOUT ROWID;
  -- What the first ones scored on a search's page when it was last looked at, as doubles, best first.
  CREATE TABLE page_scores (phrase_id INTEGER PRIMARY KEY REFERENCES phrase, day INTEGER NOT NULL, scores BLOB NOT NULL);
  CREATE TABLE day_figures (video_id INTEGER NOT NULL REFERENCES video, day INTEGER NOT NULL, impressions INTEGER NOT NULL, clicks INTEGER NOT NULL,
    search INTEGER NOT NULL, suggested INTEGER NOT NULL, subscribers INTEGER NOT NULL, web INTEGER NOT NULL, elsewhere INTEGER NOT NULL,
    watched INTEGER NOT NULL, PRIMARY KEY (video_id, day)) WITHOUT ROWID;
  ${FOLLOWING}
`

/** Brings a world up to date that was made before pages were followed. What happened in it stays. */
export function upgradeWorld(db: Database): void {
  const columns = db.prepare<[], string>("SELECT name FROM pragma_table_info('video')").pluck()
  const missing = () => {
    const known = new Set(columns.all())
    return GAINS.filter(gain => !known.has(gain.split(' ')[0]!))
  }
  // One that is up to date is not written to: another program may have days pass in it.
  if (!missing().length) return
  db.transaction(() => {
    for (const gain of missing()) db.exec(`ALTER TABLE video ADD COLUMN ${gain}`)
    db.exec(FOLLOWING)
  }).immediate()
}

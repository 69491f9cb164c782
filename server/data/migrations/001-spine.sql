-- A workspace is one channel with its briefs, lists and blocks; one person may keep several.
CREATE TABLE workspace (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  channel_id TEXT,
  time_zone TEXT NOT NULL,
  created_at INTEGER NOT NULL
) WITHOUT ROWID;

CREATE TABLE brief (
  id TEXT PRIMARY KEY,
  workspace_id TEXT NOT NULL REFERENCES workspace,
  created_at INTEGER NOT NULL,
  updated_at INTEGER NOT NULL,
  deleted_at INTEGER,
  -- Percent of its rule set, with the save and the model it was worked out for.
  percent REAL,
  scored_at INTEGER,
  scored_by INTEGER
) WITHOUT ROWID;
CREATE INDEX brief_by_change ON brief (workspace_id, updated_at DESC);

-- One row a field: each is saved, revised and restored by itself. Values are JSON.
CREATE TABLE brief_field (
  brief_id TEXT NOT NULL REFERENCES brief ON DELETE CASCADE,
  field TEXT NOT NULL,
  revision INTEGER NOT NULL,
  value TEXT NOT NULL,
  saved_at INTEGER NOT NULL,
  PRIMARY KEY (brief_id, field)
) WITHOUT ROWID;

-- Answers to edits, so that an edit repeated after a lost answer is answered as before.
CREATE TABLE brief_edit (
  id TEXT PRIMARY KEY,
  brief_id TEXT NOT NULL REFERENCES brief ON DELETE CASCADE,
  answer TEXT NOT NULL,
  saved_at INTEGER NOT NULL
) WITHOUT ROWID;
CREATE INDEX brief_edit_age ON brief_edit (saved_at);
CREATE INDEX brief_edit_brief ON brief_edit (brief_id);

CREATE TABLE field_history (
  id INTEGER PRIMARY KEY,
  brief_id TEXT NOT NULL REFERENCES brief ON DELETE CASCADE,
  field TEXT NOT NULL,
  value TEXT NOT NULL,
  -- The window that wrote it: entries of two windows are never folded into one.
  client TEXT,
  begun_at INTEGER NOT NULL,
  saved_at INTEGER NOT NULL
);
CREATE INDEX field_history_newest ON field_history (brief_id, field, id DESC);

-- A phrase is known by its language and its normalised text.
CREATE TABLE phrase (
  id INTEGER PRIMARY KEY,
  language TEXT NOT NULL,
  text TEXT NOT NULL,
  words INTEGER NOT NULL,
  -- Which sources suggest it, as bits: 1 the video site, 2 web search.
  via INTEGER NOT NULL DEFAULT 0,
  via_at INTEGER,
  UNIQUE (language, text)
);
CREATE VIRTUAL TABLE phrase_words USING fts5(text, content='', tokenize='unicode61 remove_diacritics 2', detail=none);

-- Sources of figures. Where two know one, the source with the lower place is used.
CREATE TABLE source (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL UNIQUE,
  kind TEXT NOT NULL CHECK (kind IN ('service', 'import')),
  place INTEGER NOT NULL
);

-- The latest figures of each source. Region '' is everywhere; `counts` marks the row that is shown.
-- What comes from months comes from the first believed source that tells them, which may be another:
-- it stands with the row, so that a list of phrases is read without a second look.
CREATE TABLE figure (
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  region TEXT NOT NULL,
  source_id INTEGER NOT NULL REFERENCES source,
  counts INTEGER NOT NULL,
  at INTEGER NOT NULL,
  volume REAL,
  change REAL,
  competition INTEGER,
  advertiser REAL,
  months_source INTEGER REFERENCES source,
  months_change REAL,
  trend_direction TEXT,
  trend_yearly REAL,
  PRIMARY KEY (phrase_id, region, source_id)
) WITHOUT ROWID;
CREATE INDEX figure_by_volume ON figure (region, volume) WHERE counts = 1 AND volume IS NOT NULL;

-- 36 months as 32-bit floats, oldest first, NaN where unknown; the last one as yyyymm.
CREATE TABLE history (
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  region TEXT NOT NULL,
  source_id INTEGER NOT NULL REFERENCES source,
  months BLOB NOT NULL,
  months_end INTEGER,
  change REAL,
  trend_direction TEXT,
  trend_yearly REAL,
  PRIMARY KEY (phrase_id, region, source_id)
) WITHOUT ROWID;

-- What a source told before it told something else.
CREATE TABLE figure_past (
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  region TEXT NOT NULL,
  source_id INTEGER NOT NULL REFERENCES source,
  at INTEGER NOT NULL,
  volume REAL,
  change REAL,
  competition INTEGER,
  advertiser REAL,
  PRIMARY KEY (phrase_id, region, source_id, at)
) WITHOUT ROWID;

-- The 99.9th percentile of known volumes a region, kept with its date and how many it was made from.
CREATE TABLE volume_cap (region TEXT PRIMARY KEY, cap REAL NOT NULL, known INTEGER NOT NULL, at INTEGER NOT NULL) WITHOUT ROWID;

-- A seed looked up: which phrases the services told of, and what they failed to tell.
CREATE TABLE look (
  id INTEGER PRIMARY KEY,
  language TEXT NOT NULL,
  region TEXT NOT NULL,
  seed TEXT NOT NULL,
  at INTEGER NOT NULL,
  missing TEXT NOT NULL,
  UNIQUE (language, region, seed)
);
CREATE TABLE look_phrase (
  look_id INTEGER NOT NULL REFERENCES look ON DELETE CASCADE,
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  PRIMARY KEY (look_id, phrase_id)
) WITHOUT ROWID;

CREATE TABLE channel (id TEXT PRIMARY KEY, title TEXT NOT NULL, subscribers INTEGER, at INTEGER NOT NULL) WITHOUT ROWID;
CREATE TABLE video (
  id INTEGER PRIMARY KEY,
  code TEXT NOT NULL UNIQUE,
  channel_id TEXT NOT NULL REFERENCES channel,
  title TEXT NOT NULL,
  description TEXT NOT NULL,
  tags TEXT NOT NULL,
  published_at INTEGER NOT NULL,
  seconds INTEGER NOT NULL,
  at INTEGER NOT NULL
);

-- A result page as observed, with the difficulty worked out from it.
CREATE TABLE result_page (
  id INTEGER PRIMARY KEY,
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  region TEXT NOT NULL,
  source TEXT NOT NULL,
  at INTEGER NOT NULL,
  depth INTEGER NOT NULL,
  complete INTEGER NOT NULL,
  title_matches INTEGER,
  video_block INTEGER,
  difficulty REAL,
  front REAL,
  middle REAL,
  rest REAL,
  model_version INTEGER NOT NULL
);
CREATE INDEX result_page_newest ON result_page (phrase_id, region, at DESC);
CREATE TABLE seat (
  page_id INTEGER NOT NULL REFERENCES result_page ON DELETE CASCADE,
  rank INTEGER NOT NULL,
  video_id INTEGER NOT NULL REFERENCES video,
  subscribers INTEGER,
  views INTEGER NOT NULL,
  likes INTEGER,
  comments INTEGER,
  strength REAL NOT NULL,
  PRIMARY KEY (page_id, rank)
) WITHOUT ROWID;
CREATE INDEX seat_of_video ON seat (video_id);

-- The page that stands for a phrase: the newest whole one, or the newest if none came back whole.
CREATE TABLE standing_page (
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  region TEXT NOT NULL,
  page_id INTEGER NOT NULL REFERENCES result_page,
  difficulty REAL,
  title_matches INTEGER,
  video_block INTEGER,
  PRIMARY KEY (phrase_id, region)
) WITHOUT ROWID;

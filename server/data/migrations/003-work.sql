-- A workspace's own channel: one of the channels observed, or stated by hand.
ALTER TABLE workspace ADD COLUMN subscribers INTEGER;
ALTER TABLE workspace ADD COLUMN language TEXT NOT NULL DEFAULT 'en';
ALTER TABLE workspace ADD COLUMN region TEXT;

-- Videos of the own channel stated by hand or from a list, where no service tells them.
CREATE TABLE own_video (
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  code TEXT NOT NULL,
  title TEXT NOT NULL,
  views INTEGER NOT NULL,
  published_at INTEGER NOT NULL,
  at INTEGER NOT NULL,
  PRIMARY KEY (workspace_id, code)
) WITHOUT ROWID;

-- Briefs of one topic for many places are made in one go and stay together.
ALTER TABLE brief ADD COLUMN series_id TEXT;
ALTER TABLE brief ADD COLUMN series_place TEXT;

CREATE TABLE phrase_list (
  id TEXT PRIMARY KEY,
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  name TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  created_at INTEGER NOT NULL,
  updated_at INTEGER NOT NULL,
  deleted_at INTEGER
) WITHOUT ROWID;
CREATE TABLE list_phrase (
  list_id TEXT NOT NULL REFERENCES phrase_list ON DELETE CASCADE,
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  place INTEGER NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  added_at INTEGER NOT NULL,
  PRIMARY KEY (list_id, phrase_id)
) WITHOUT ROWID;

-- What a person noted of a phrase, seen wherever the phrase is.
CREATE TABLE phrase_note (
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  text TEXT NOT NULL,
  at INTEGER NOT NULL,
  PRIMARY KEY (workspace_id, phrase_id)
) WITHOUT ROWID;

-- Sets of filters under a name; the query is the address's own, as JSON.
CREATE TABLE filter_set (
  id TEXT PRIMARY KEY,
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  name TEXT NOT NULL,
  query TEXT NOT NULL,
  created_at INTEGER NOT NULL
) WITHOUT ROWID;

-- Towns and other places that are words of a search, not regions.
CREATE TABLE place (
  id INTEGER PRIMARY KEY,
  region TEXT NOT NULL,
  name TEXT NOT NULL,
  population INTEGER,
  source TEXT NOT NULL,
  UNIQUE (region, name)
);

-- What a person set, by name; values are JSON. Workspace '' is for all of them.
CREATE TABLE setting (
  workspace_id TEXT NOT NULL,
  name TEXT NOT NULL,
  value TEXT NOT NULL,
  at INTEGER NOT NULL,
  PRIMARY KEY (workspace_id, name)
) WITHOUT ROWID;

-- A rival set: channels watched together.
CREATE TABLE rival_set (
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  channel_id TEXT NOT NULL REFERENCES channel,
  note TEXT NOT NULL DEFAULT '',
  at INTEGER NOT NULL,
  PRIMARY KEY (workspace_id, channel_id)
) WITHOUT ROWID;

-- Long work: what was asked for stays, so that it can go on after the program was ended.
CREATE TABLE job (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL,
  title TEXT NOT NULL,
  input TEXT NOT NULL,
  state TEXT NOT NULL,
  done INTEGER NOT NULL,
  total INTEGER NOT NULL,
  started_at INTEGER NOT NULL,
  ended_at INTEGER,
  problem TEXT
) WITHOUT ROWID;
CREATE INDEX job_newest ON job (started_at DESC);

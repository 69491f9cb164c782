-- Briefs on their way to a site, or out: each under the key it was asked for with, so that nothing is done twice.
CREATE TABLE publication (
  id TEXT NOT NULL PRIMARY KEY,
  brief_id TEXT NOT NULL REFERENCES brief ON DELETE CASCADE,
  channel TEXT NOT NULL,
  -- The video's file: its name, and how much of it the site has.
  file TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  seconds REAL NOT NULL,
  sent INTEGER NOT NULL DEFAULT 0,
  -- sending, out, refused or given-up
  state TEXT NOT NULL,
  video TEXT,
  visible_from INTEGER,
  -- JSON: what the site refused, by field.
  problems TEXT NOT NULL DEFAULT '[]',
  source TEXT,
  created_at INTEGER NOT NULL,
  updated_at INTEGER NOT NULL
);
-- A brief is under way once at a time, and out once.
CREATE UNIQUE INDEX publication_once ON publication (brief_id) WHERE state IN ('sending', 'out');
CREATE INDEX publication_brief ON publication (brief_id, created_at);

-- One change made in many videos that are out, so that it can be gone on with and taken back as a whole.
CREATE TABLE edit_run (
  id TEXT PRIMARY KEY,
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  -- UTC milliseconds.
  at INTEGER NOT NULL,
  -- What is changed, as JSON.
  edit TEXT NOT NULL,
  -- When it was asked to be taken back; NULL while it was not.
  undone_at INTEGER
);
CREATE INDEX edit_run_workspace ON edit_run (workspace_id, at);
CREATE TABLE edit_part (
  run_id TEXT NOT NULL REFERENCES edit_run ON DELETE CASCADE,
  place INTEGER NOT NULL,
  -- The site's id of the video.
  video TEXT NOT NULL,
  -- The field as JSON.
  before TEXT NOT NULL,
  after TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('waiting', 'changed', 'kept', 'undone')),
  -- Why it was not changed, or not taken back.
  problem TEXT,
  PRIMARY KEY (run_id, place)
) WITHOUT ROWID;

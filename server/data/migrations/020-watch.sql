-- Videos whose ranks are looked up again and again.
CREATE TABLE watch (
  id INTEGER PRIMARY KEY,
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  series_id INTEGER NOT NULL REFERENCES rank_series ON DELETE CASCADE,
  -- Days from one look to the next.
  every INTEGER NOT NULL,
  -- The day of the next look, in days since 1970; 0 where there was none yet.
  due INTEGER NOT NULL,
  created_at INTEGER NOT NULL,
  UNIQUE (series_id, workspace_id)
);
CREATE INDEX watch_workspace ON watch (workspace_id);
CREATE INDEX watch_due ON watch (due);

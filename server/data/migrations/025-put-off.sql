-- What a person does not want to be proposed for a while, or any more.
CREATE TABLE put_off (
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  -- What it is: mend:<video> and the like.
  key TEXT NOT NULL,
  -- UTC milliseconds; NULL for good.
  until INTEGER,
  PRIMARY KEY (workspace_id, key)
) WITHOUT ROWID;

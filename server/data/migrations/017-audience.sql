-- When viewers of a channel are there, by hour of the week: as the site told last, and as a person read it in.
CREATE TABLE audience (
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  -- The channel the site told it of; '' for a table that was read in.
  channel TEXT NOT NULL,
  -- JSON: 168 values, Monday 0:00 first, by the clock of the zone.
  hours TEXT NOT NULL,
  zone TEXT NOT NULL,
  source TEXT NOT NULL,
  at INTEGER NOT NULL,
  PRIMARY KEY (workspace_id, channel)
);

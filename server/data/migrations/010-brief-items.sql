-- What a brief has many of, such as candidates for its title: each is saved, revised and brought back by itself.
CREATE TABLE brief_item (
  id TEXT PRIMARY KEY,
  brief_id TEXT NOT NULL REFERENCES brief ON DELETE CASCADE,
  kind TEXT NOT NULL,
  position REAL NOT NULL,
  revision INTEGER NOT NULL,
  value TEXT NOT NULL,
  format INTEGER NOT NULL,
  created_at INTEGER NOT NULL,
  saved_at INTEGER NOT NULL,
  deleted_at INTEGER
) WITHOUT ROWID;
CREATE INDEX brief_item_order ON brief_item (brief_id, kind, position);

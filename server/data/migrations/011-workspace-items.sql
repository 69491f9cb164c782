-- What a workspace has many of, such as blocks of text: each is saved, revised and brought back by itself.
CREATE TABLE workspace_item (
  id TEXT PRIMARY KEY,
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  kind TEXT NOT NULL,
  position REAL NOT NULL,
  revision INTEGER NOT NULL,
  value TEXT NOT NULL,
  format INTEGER NOT NULL,
  created_at INTEGER NOT NULL,
  saved_at INTEGER NOT NULL,
  deleted_at INTEGER
) WITHOUT ROWID;
CREATE INDEX workspace_item_order ON workspace_item (workspace_id, kind, position);

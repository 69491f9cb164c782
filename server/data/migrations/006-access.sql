-- Keys of the people who may use Fonetra over a network. Of a key only what checks it is kept.
CREATE TABLE access_key (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  role TEXT NOT NULL CHECK (role IN ('owner', 'editor', 'reader')),
  salt BLOB NOT NULL,
  hash BLOB NOT NULL,
  created_at INTEGER NOT NULL,
  used_at INTEGER
) WITHOUT ROWID;

-- A window signed in by a key, known by the digest of its cookie.
CREATE TABLE session (
  digest BLOB PRIMARY KEY,
  key_id TEXT NOT NULL REFERENCES access_key ON DELETE CASCADE,
  seen_at INTEGER NOT NULL
) WITHOUT ROWID;
CREATE INDEX session_of_key ON session (key_id);
CREATE INDEX session_age ON session (seen_at);

-- Who wrote a version: the name on the key. NULL for who sat at the machine itself.
ALTER TABLE field_history ADD COLUMN writer TEXT;

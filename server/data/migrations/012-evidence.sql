-- What checks say of the results of a page, by their thresholds: worked out once for each page.
CREATE TABLE evidence_rules (
  id INTEGER PRIMARY KEY,
  key TEXT NOT NULL UNIQUE,
  used_at INTEGER NOT NULL
);
CREATE TABLE page_reading (
  rules_id INTEGER NOT NULL REFERENCES evidence_rules ON DELETE CASCADE,
  page_id INTEGER NOT NULL REFERENCES result_page ON DELETE CASCADE,
  outcomes BLOB NOT NULL,
  PRIMARY KEY (rules_id, page_id)
) WITHOUT ROWID;
CREATE INDEX page_reading_of ON page_reading (page_id);

-- The last answer to each question about the pages kept.
CREATE TABLE evidence (
  rules_id INTEGER NOT NULL REFERENCES evidence_rules ON DELETE CASCADE,
  pages TEXT NOT NULL,
  at INTEGER NOT NULL,
  answer TEXT NOT NULL,
  PRIMARY KEY (rules_id, pages)
) WITHOUT ROWID;

-- The index of phrases in memory is kept beside this file, so that it need not be read from the tables at each start.
CREATE TABLE index_snapshot (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  -- Counts what was begun to be kept: a change is noted under the last one begun.
  generation INTEGER NOT NULL,
  -- The file that fits, by its own mark, and the generation from which on changes are not in it; NULL for none.
  mark TEXT,
  least INTEGER,
  -- Whether changes are noted.
  follows INTEGER NOT NULL
);
INSERT INTO index_snapshot VALUES (1, 0, NULL, NULL, 0);
-- Phrases that changed since.
CREATE TABLE index_change (phrase_id INTEGER PRIMARY KEY, generation INTEGER NOT NULL);

-- By triggers, so that no way of changing them can be forgotten.
CREATE TRIGGER index_phrase_added AFTER INSERT ON phrase WHEN (SELECT follows FROM index_snapshot)
BEGIN
  INSERT OR REPLACE INTO index_change SELECT new.id, generation FROM index_snapshot;
END;
CREATE TRIGGER index_phrase_changed AFTER UPDATE ON phrase WHEN (SELECT follows FROM index_snapshot)
BEGIN
  INSERT OR REPLACE INTO index_change SELECT new.id, generation FROM index_snapshot;
END;
CREATE TRIGGER index_figure_added AFTER INSERT ON figure WHEN (SELECT follows FROM index_snapshot)
BEGIN
  INSERT OR REPLACE INTO index_change SELECT new.phrase_id, generation FROM index_snapshot;
END;
CREATE TRIGGER index_figure_changed AFTER UPDATE ON figure WHEN (SELECT follows FROM index_snapshot)
BEGIN
  INSERT OR REPLACE INTO index_change SELECT new.phrase_id, generation FROM index_snapshot;
END;
CREATE TRIGGER index_figure_removed AFTER DELETE ON figure WHEN (SELECT follows FROM index_snapshot)
BEGIN
  INSERT OR REPLACE INTO index_change SELECT old.phrase_id, generation FROM index_snapshot;
END;
-- A phrase that is gone cannot be taken out of the index by itself.
CREATE TRIGGER index_phrase_removed AFTER DELETE ON phrase WHEN (SELECT follows FROM index_snapshot)
BEGIN
  UPDATE index_snapshot SET follows = 0, mark = NULL, least = NULL;
  DELETE FROM index_change;
END;

-- A page without any result says nothing of how hard a phrase is: it was taken for the easiest of all.
UPDATE result_page SET difficulty = NULL, front = NULL, middle = NULL, rest = NULL WHERE difficulty = 0 AND NOT EXISTS (SELECT 1 FROM seat WHERE page_id = result_page.id);
UPDATE standing_page SET difficulty = NULL WHERE difficulty = 0 AND (SELECT difficulty FROM result_page WHERE id = page_id) IS NULL;

-- The more searched spelling whose results a phrase's page really holds: its figures count then.
ALTER TABLE standing_page ADD COLUMN read_as INTEGER REFERENCES phrase;
CREATE INDEX standing_page_read_as ON standing_page (read_as) WHERE read_as IS NOT NULL;

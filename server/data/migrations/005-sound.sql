-- What an edit asked for, so that its id with other content is told from a repeat.
ALTER TABLE brief_edit ADD COLUMN digest TEXT;

-- What routes ask for by something else than a table's own key.
CREATE INDEX standing_page_of ON standing_page (page_id);
CREATE INDEX list_phrase_order ON list_phrase (list_id, place);
DROP INDEX brief_by_change;
CREATE INDEX brief_live ON brief (workspace_id, updated_at DESC, id DESC) WHERE deleted_at IS NULL;
CREATE INDEX brief_of_workspace ON brief (workspace_id);
CREATE INDEX phrase_list_of_workspace ON phrase_list (workspace_id, updated_at DESC);
CREATE INDEX filter_set_of_workspace ON filter_set (workspace_id, name);
CREATE INDEX result_page_kind ON result_page (phrase_id, region, kind, at DESC);
DROP INDEX result_page_newest;

-- How many figures a source told and when the newest: counting them takes seconds where there are millions.
ALTER TABLE source ADD COLUMN figures INTEGER NOT NULL DEFAULT 0;
ALTER TABLE source ADD COLUMN newest INTEGER;
UPDATE source SET (figures, newest) = (SELECT count(*), max(at) FROM figure WHERE source_id = source.id);

-- When what a service failed to tell, or told nothing of, may be asked for again.
CREATE TABLE asked (
  what TEXT NOT NULL,
  again_at INTEGER NOT NULL,
  problem TEXT,
  PRIMARY KEY (what)
) WITHOUT ROWID;
CREATE INDEX asked_age ON asked (again_at);

-- Lists and notes have revisions, as the fields of a brief do: of two windows the later one overwrites nothing.
ALTER TABLE phrase_list ADD COLUMN revision INTEGER NOT NULL DEFAULT 1;
ALTER TABLE phrase_note ADD COLUMN revision INTEGER NOT NULL DEFAULT 1;

-- What a job was asked for can be long, and is wanted only to take it up again.
CREATE TABLE job_input (
  job_id TEXT PRIMARY KEY REFERENCES job ON DELETE CASCADE,
  input TEXT NOT NULL
) WITHOUT ROWID;
INSERT INTO job_input SELECT id, input FROM job WHERE state != 'done';
ALTER TABLE job DROP COLUMN input;
CREATE INDEX job_ended ON job (ended_at) WHERE ended_at IS NOT NULL;
CREATE INDEX job_running ON job (state) WHERE state = 'running';

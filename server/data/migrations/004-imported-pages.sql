-- Whether a person imported the page: what stands on it is not asked of a service unless somebody wants to look again.
ALTER TABLE result_page ADD COLUMN imported INTEGER NOT NULL DEFAULT 0;

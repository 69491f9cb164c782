-- What the pages kept of a region teach of how their site ranks: the model as JSON, how it was judged, and whether it
-- is used. Region '' is everywhere. It holds for pages of its source and language.
CREATE TABLE chance_model (
  region TEXT NOT NULL PRIMARY KEY,
  source TEXT NOT NULL,
  language TEXT NOT NULL,
  at INTEGER NOT NULL,
  -- Pages it was learnt from, and those kept then.
  pages INTEGER NOT NULL,
  kept INTEGER NOT NULL,
  families INTEGER NOT NULL,
  used INTEGER NOT NULL,
  judged TEXT NOT NULL,
  errors TEXT NOT NULL,
  model TEXT NOT NULL
);
-- What a page asks of a new video worded in full, by the model in use; NULL where there is none.
ALTER TABLE standing_page ADD COLUMN hurdle REAL;

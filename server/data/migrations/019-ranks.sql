-- Where videos stood for phrases, day by day. Result pages are thinned; ranks are kept.
CREATE TABLE rank_series (
  id INTEGER PRIMARY KEY,
  -- The site's id of the video.
  video TEXT NOT NULL,
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  -- '' for everywhere.
  region TEXT NOT NULL,
  -- site or web
  kind TEXT NOT NULL,
  UNIQUE (video, phrase_id, region, kind)
);
CREATE INDEX rank_series_page ON rank_series (phrase_id, region, kind);
CREATE TABLE rank_day (
  series_id INTEGER NOT NULL REFERENCES rank_series ON DELETE CASCADE,
  -- Days since 1970 by UTC.
  day INTEGER NOT NULL,
  -- NULL where it was not among the results read.
  rank INTEGER,
  depth INTEGER NOT NULL,
  PRIMARY KEY (series_id, day)
) WITHOUT ROWID;

-- Figures of one's own videos by day, as the site or a table told them. NULL is what nobody told.
CREATE TABLE video_day (
  -- The site's id of the video.
  video TEXT NOT NULL,
  -- Days since 1970 by UTC.
  day INTEGER NOT NULL,
  impressions INTEGER,
  clicks INTEGER,
  views INTEGER,
  watched INTEGER,
  -- Views by where they came from.
  search INTEGER,
  suggested INTEGER,
  subscribers INTEGER,
  web INTEGER,
  elsewhere INTEGER,
  PRIMARY KEY (video, day)
) WITHOUT ROWID;
-- The other sites that views came from.
CREATE TABLE video_referrer (
  video TEXT NOT NULL,
  day INTEGER NOT NULL,
  name TEXT NOT NULL,
  views INTEGER NOT NULL,
  PRIMARY KEY (video, day, name)
) WITHOUT ROWID;
-- Who told of a video last, and when.
CREATE TABLE video_told (
  video TEXT PRIMARY KEY,
  source TEXT NOT NULL,
  at INTEGER NOT NULL,
  -- When the site told of it; NULL where only tables did.
  asked_at INTEGER,
  -- JSON: the part of viewers still there at the start, after each tenth, and at the end.
  retention TEXT
) WITHOUT ROWID;

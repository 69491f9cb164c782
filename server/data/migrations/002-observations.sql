-- Phrases are found by the index that stands in a thread's memory, which also knows the caps.
DROP TABLE phrase_words;
DROP INDEX figure_by_volume;

-- What months tell beside the trend: how strong a season is (NULL for none), its peak months as twelve
-- bits, January the lowest, and whether most of it was one spike.
-- Figures are written by the million, each for a phrase just added: they refer without a check a row.
CREATE TABLE figure_new (
  phrase_id INTEGER NOT NULL,
  region TEXT NOT NULL,
  source_id INTEGER NOT NULL,
  counts INTEGER NOT NULL,
  at INTEGER NOT NULL,
  volume REAL,
  change REAL,
  competition INTEGER,
  advertiser REAL,
  months_source INTEGER,
  months_change REAL,
  trend_direction TEXT,
  trend_yearly REAL,
  season_strength REAL,
  season_peaks INTEGER,
  spiked INTEGER,
  PRIMARY KEY (phrase_id, region, source_id)
) WITHOUT ROWID;
INSERT INTO figure_new SELECT *, NULL, NULL, NULL FROM figure;
DROP TABLE figure;
ALTER TABLE figure_new RENAME TO figure;
ALTER TABLE history ADD COLUMN season_strength REAL;
ALTER TABLE history ADD COLUMN season_peaks INTEGER;
ALTER TABLE history ADD COLUMN spiked INTEGER;

-- Interest by region as a service told it.
CREATE TABLE region_interest (
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  region TEXT NOT NULL,
  volume REAL NOT NULL,
  source TEXT NOT NULL,
  at INTEGER NOT NULL,
  PRIMARY KEY (phrase_id, region)
) WITHOUT ROWID;

ALTER TABLE channel ADD COLUMN founded_at INTEGER;
ALTER TABLE channel ADD COLUMN videos INTEGER;
-- When the list of its videos was last told whole.
ALTER TABLE channel ADD COLUMN listed_at INTEGER;

-- A video as last seen. Who told it may not have told everything: what is NULL is unknown.
CREATE TABLE video_new (
  id INTEGER PRIMARY KEY,
  code TEXT NOT NULL UNIQUE,
  channel_id TEXT NOT NULL REFERENCES channel,
  title TEXT NOT NULL,
  description TEXT,
  tags TEXT,
  published_at INTEGER,
  seconds INTEGER,
  views INTEGER,
  likes INTEGER,
  comments INTEGER,
  thumbnail TEXT,
  at INTEGER NOT NULL
);
INSERT INTO video_new SELECT v.id, v.code, v.channel_id, v.title, v.description, v.tags, v.published_at, v.seconds, s.views, s.likes, s.comments, NULL, v.at
  FROM video v LEFT JOIN seat s ON s.video_id = v.id AND s.page_id = (SELECT max(page_id) FROM seat WHERE video_id = v.id);
DROP TABLE video;
ALTER TABLE video_new RENAME TO video;
CREATE INDEX video_of_channel ON video (channel_id, published_at DESC);

CREATE TABLE seat_new (
  page_id INTEGER NOT NULL REFERENCES result_page ON DELETE CASCADE,
  rank INTEGER NOT NULL,
  video_id INTEGER NOT NULL REFERENCES video,
  subscribers INTEGER,
  views INTEGER,
  likes INTEGER,
  comments INTEGER,
  strength REAL NOT NULL,
  -- The parts of the strength, 0 to 1; NULL where the page told none.
  targeting REAL,
  reach REAL,
  pull REAL,
  PRIMARY KEY (page_id, rank)
) WITHOUT ROWID;
INSERT INTO seat_new SELECT page_id, rank, video_id, subscribers, views, likes, comments, strength, NULL, NULL, NULL FROM seat;
DROP TABLE seat;
ALTER TABLE seat_new RENAME TO seat;
CREATE INDEX seat_of_video ON seat (video_id);

-- A page comes from the video site or from the video block of web search. Only the first kind stands for a phrase.
ALTER TABLE result_page ADD COLUMN kind TEXT NOT NULL DEFAULT 'site';
-- Whether the site has results beyond those read.
ALTER TABLE result_page ADD COLUMN more INTEGER NOT NULL DEFAULT 1;

-- Strengths by rank as 32-bit floats, those taken out left out: a chance is worked out without reading the seats.
ALTER TABLE standing_page ADD COLUMN strengths BLOB;
ALTER TABLE standing_page ADD COLUMN more INTEGER;
ALTER TABLE standing_page ADD COLUMN intent TEXT;

-- Results a person took out of a phrase's pages as speaking of something else.
CREATE TABLE off_topic (
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  video_id INTEGER NOT NULL REFERENCES video,
  at INTEGER NOT NULL,
  PRIMARY KEY (phrase_id, video_id)
) WITHOUT ROWID;

-- What was trending in a region ('' everywhere) when last asked.
CREATE TABLE trending (
  region TEXT NOT NULL,
  rank INTEGER NOT NULL,
  video_id INTEGER NOT NULL REFERENCES video,
  source TEXT NOT NULL,
  at INTEGER NOT NULL,
  PRIMARY KEY (region, rank)
) WITHOUT ROWID;

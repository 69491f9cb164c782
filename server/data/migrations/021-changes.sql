-- What was changed of videos that are out, so that their ranks before and after can be told apart.
CREATE TABLE video_change (
  id INTEGER PRIMARY KEY,
  -- The site's id of the video.
  video TEXT NOT NULL,
  -- By the clock of the services, UTC milliseconds.
  at INTEGER NOT NULL,
  field TEXT NOT NULL,
  -- NULL where the site does not tell it.
  before TEXT,
  after TEXT NOT NULL
);
CREATE INDEX video_change_video ON video_change (video, at);

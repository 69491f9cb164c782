-- Changes of videos that are planned for a day, with how and when they are to be judged, settled beforehand.
CREATE TABLE planned_change (
  id TEXT PRIMARY KEY,
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  -- The site's id of the video.
  video TEXT NOT NULL,
  field TEXT NOT NULL CHECK (field IN ('title', 'description', 'tags', 'thumbnail')),
  -- What it is to become, in the person's words.
  note TEXT NOT NULL,
  -- Days since 1970: when it was planned, and when it is to be made.
  made_on INTEGER NOT NULL,
  day INTEGER NOT NULL,
  -- Whole weeks on either side that are compared.
  weeks INTEGER NOT NULL,
  what TEXT NOT NULL CHECK (what IN ('views', 'search', 'impressions', 'clickRate'))
) WITHOUT ROWID;
CREATE INDEX planned_change_video ON planned_change (workspace_id, video, day);

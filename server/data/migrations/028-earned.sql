-- What videos brought beside views, by day: clicks, calls, coupons and orders, as people told them.
CREATE TABLE earned (
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  -- The site's id of the video.
  video TEXT NOT NULL,
  -- Days since 1970.
  day INTEGER NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('click', 'call', 'coupon', 'order')),
  -- The address that was followed; '' where it is not told.
  link TEXT NOT NULL,
  count INTEGER NOT NULL,
  -- In the workspace's currency; NULL where it is not told.
  value REAL,
  PRIMARY KEY (workspace_id, video, day, kind, link)
) WITHOUT ROWID;
CREATE INDEX earned_newest ON earned (workspace_id, day);

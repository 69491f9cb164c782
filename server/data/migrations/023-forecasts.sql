-- Forecasts as they were told, so that it can be seen how often they came true.
CREATE TABLE forecast (
  id INTEGER PRIMARY KEY,
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  brief_id TEXT REFERENCES brief ON DELETE SET NULL,
  -- The video that came of it; NULL before it is out.
  video TEXT,
  phrase_id INTEGER NOT NULL REFERENCES phrase,
  -- '' for everywhere.
  region TEXT NOT NULL,
  -- settled: when the phrase was taken into the tray. published: when the video went out.
  moment TEXT NOT NULL,
  at INTEGER NOT NULL,
  -- Chance of page one as it was told, and before it was corrected by what came of earlier ones.
  chance REAL NOT NULL,
  raw REAL NOT NULL,
  low_rank INTEGER NOT NULL,
  high_rank INTEGER NOT NULL,
  -- Views to win in ninety days; NULL where the searches are not known.
  low_views REAL,
  high_views REAL,
  difficulty REAL,
  -- What it was told from: the page's time and source, and whether weights were learnt.
  page_at INTEGER NOT NULL,
  source TEXT NOT NULL,
  learnt INTEGER NOT NULL,
  model INTEGER NOT NULL
);
CREATE UNIQUE INDEX forecast_once ON forecast (brief_id, phrase_id, region, moment);
CREATE INDEX forecast_workspace ON forecast (workspace_id, video);
CREATE INDEX forecast_video ON forecast (video);

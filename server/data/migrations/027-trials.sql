-- Trials over one's own videos: of pairs much alike one video each is changed, in waves, and compared after some weeks.
CREATE TABLE trial (
  id TEXT PRIMARY KEY,
  workspace_id TEXT NOT NULL REFERENCES workspace ON DELETE CASCADE,
  -- UTC milliseconds by the clock of the services.
  at INTEGER NOT NULL,
  -- The check that the changed ones meet, and the rule set it was read by.
  check_id TEXT NOT NULL,
  rule_set TEXT NOT NULL,
  field TEXT NOT NULL CHECK (field IN ('title', 'description', 'tags')),
  -- What is compared; settled before anything is seen.
  outcome TEXT NOT NULL CHECK (outcome IN ('views', 'search', 'impressions', 'clickRate')),
  weeks INTEGER NOT NULL,
  waves INTEGER NOT NULL,
  -- When it was given up; NULL while it was not.
  stopped_at INTEGER
);
CREATE INDEX trial_workspace ON trial (workspace_id, at);
CREATE TABLE trial_pair (
  trial_id TEXT NOT NULL REFERENCES trial ON DELETE CASCADE,
  place INTEGER NOT NULL,
  wave INTEGER NOT NULL,
  -- The site's ids of the two videos.
  changed TEXT NOT NULL,
  kept TEXT NOT NULL,
  -- The field of the changed one, as JSON.
  before TEXT NOT NULL,
  after TEXT NOT NULL,
  PRIMARY KEY (trial_id, place)
) WITHOUT ROWID;
CREATE TABLE trial_wave (
  trial_id TEXT NOT NULL REFERENCES trial ON DELETE CASCADE,
  wave INTEGER NOT NULL,
  -- The change in many videos that made it; not remembered for ever.
  run_id TEXT NOT NULL,
  at INTEGER NOT NULL,
  PRIMARY KEY (trial_id, wave)
) WITHOUT ROWID;

-- The channels that a site lets this account act for, as it told last.
CREATE TABLE account_channel (
  code TEXT NOT NULL PRIMARY KEY,
  title TEXT NOT NULL,
  authorised INTEGER NOT NULL,
  -- JSON, as the site told them.
  rights TEXT NOT NULL,
  limits TEXT NOT NULL,
  source TEXT NOT NULL,
  at INTEGER NOT NULL
);

-- The playlists a site finds for a phrase, as last seen; region '' is everywhere.
CREATE TABLE playlist_page (
  phrase TEXT NOT NULL,
  language TEXT NOT NULL,
  region TEXT NOT NULL,
  source TEXT NOT NULL,
  at INTEGER NOT NULL,
  complete INTEGER NOT NULL,
  playlists TEXT NOT NULL,
  PRIMARY KEY (phrase, language, region)
) WITHOUT ROWID;

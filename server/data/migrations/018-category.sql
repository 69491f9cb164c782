-- What kind of video its channel says it is, where the site tells it.
ALTER TABLE video ADD COLUMN category TEXT;

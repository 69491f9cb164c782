-- The best rank a video ever had for a phrase, so that a channel's table need not go through all days.
ALTER TABLE rank_series ADD COLUMN best_rank INTEGER;
-- Days since 1970.
ALTER TABLE rank_series ADD COLUMN best_day INTEGER;
UPDATE rank_series SET (best_rank, best_day) = (
  SELECT rank, day FROM rank_day WHERE series_id = rank_series.id AND rank IS NOT NULL ORDER BY rank, day LIMIT 1
);

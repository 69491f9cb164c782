-- How a video stands for a phrase, as few days of its ranks as that takes: the table of a channel reads ten thousand of
-- them at once. Each is a day, a rank (0 for none) and a depth in one number: the day above 24 bits, the rank above 12.
-- NULL for none.
ALTER TABLE rank_series ADD COLUMN told_last INTEGER;
-- A week and four weeks before the last.
ALTER TABLE rank_series ADD COLUMN told_week INTEGER;
ALTER TABLE rank_series ADD COLUMN told_month INTEGER;
ALTER TABLE rank_series ADD COLUMN told_best INTEGER;
ALTER TABLE rank_series DROP COLUMN best_rank;
ALTER TABLE rank_series DROP COLUMN best_day;
UPDATE rank_series SET
  told_last = (SELECT (day << 24) | (coalesce(rank, 0) << 12) | depth FROM rank_day
    WHERE series_id = rank_series.id ORDER BY day DESC LIMIT 1),
  told_best = (SELECT (day << 24) | (rank << 12) | depth FROM rank_day
    WHERE series_id = rank_series.id AND rank IS NOT NULL ORDER BY rank, day LIMIT 1);
UPDATE rank_series SET
  told_week = (SELECT (day << 24) | (coalesce(rank, 0) << 12) | depth FROM rank_day
    WHERE series_id = rank_series.id AND day BETWEEN (told_last >> 24) - 10 AND (told_last >> 24) - 7
    ORDER BY day DESC LIMIT 1),
  told_month = (SELECT (day << 24) | (coalesce(rank, 0) << 12) | depth FROM rank_day
    WHERE series_id = rank_series.id AND day BETWEEN (told_last >> 24) - 35 AND (told_last >> 24) - 28
    ORDER BY day DESC LIMIT 1)
  WHERE told_last IS NOT NULL;

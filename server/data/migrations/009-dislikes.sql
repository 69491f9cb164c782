-- How many disliked a video, where the site tells it.
ALTER TABLE video ADD COLUMN dislikes INTEGER;

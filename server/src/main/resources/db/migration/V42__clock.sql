-- Times of day as a keeper reads them, 24-hour until chosen otherwise.
ALTER TABLE keeper ADD COLUMN clock_face VARCHAR(20) NOT NULL DEFAULT 'HOURS_24';

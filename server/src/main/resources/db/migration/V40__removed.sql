-- What was removed is kept for a day, so that it can be undone.
ALTER TABLE home ADD COLUMN removed_at DATETIME(6) NULL;
ALTER TABLE room ADD COLUMN removed_at DATETIME(6) NULL;
ALTER TABLE tank ADD COLUMN removed_at DATETIME(6) NULL;

-- Outages that were noted late are placed by their times: one that overlaps another is merged into it and keeps its id as
-- another name of it. One that never was can be taken out, and brought back within a day.
ALTER TABLE outage
    ADD COLUMN merged_into UUID NULL,
    ADD COLUMN removed_at DATETIME(6) NULL,
    ADD COLUMN began_before DATETIME(6) NULL,
    ADD COLUMN moved_by VARCHAR(80) NULL,
    DROP KEY outage_open,
    DROP COLUMN open_home_id;
ALTER TABLE outage
    ADD COLUMN open_home_id UUID AS (IF(ended_at IS NULL AND removed_at IS NULL AND merged_into IS NULL, home_id, NULL))
        VIRTUAL,
    ADD UNIQUE KEY outage_open (open_home_id);

-- When of a day a line doses; nothing for one that drips all day.
ALTER TABLE dosing_line
    ADD COLUMN doses_per_day INT NULL,
    ADD COLUMN first_at VARCHAR(5) NULL,
    ADD COLUMN over_h DOUBLE NULL;

-- After an outage somebody saw that the return runs, and let doses go on.
CREATE TABLE dose_release (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    outage_id UUID NOT NULL,
    at DATETIME(6) NOT NULL,
    UNIQUE KEY dose_release_once (tank_id, outage_id),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE,
    FOREIGN KEY (outage_id) REFERENCES outage (id) ON DELETE CASCADE
);

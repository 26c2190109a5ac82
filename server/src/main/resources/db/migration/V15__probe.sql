-- What a tank's pH probe showed in buffers: readings stay as they were taken, everything derived reads them through this.
-- meter: what was done with it afterwards; set_c: what a meter takes for granted that does not compensate for temperature.
CREATE TABLE probe_calibration (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    version BIGINT NOT NULL,
    at DATETIME(6) NOT NULL,
    points JSON NOT NULL,
    meter VARCHAR(20) NOT NULL,
    set_c DOUBLE NULL,
    note VARCHAR(300) NOT NULL,
    UNIQUE KEY probe_calibration_at (tank_id, at),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

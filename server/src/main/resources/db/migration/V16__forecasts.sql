-- What each day's pH was forecast to be at its beginning, from the log as it was then. A row without made_at is claimed by
-- an instance that computes it; one without numbers is of a tank that nothing was known of.
CREATE TABLE day_forecast (
    tank_id UUID NOT NULL,
    day DATE NOT NULL,
    claimed_at DATETIME(6) NOT NULL,
    made_at DATETIME(6) NULL,
    trough DOUBLE NULL,
    trough_low DOUBLE NULL,
    trough_high DOUBLE NULL,
    peak DOUBLE NULL,
    peak_low DOUBLE NULL,
    peak_high DOUBLE NULL,
    PRIMARY KEY (tank_id, day),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

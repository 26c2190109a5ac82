-- An experiment that was chosen: planned, begun, over. What it promised and what was open when it began stay as they were
-- shown; open_after is written once its way back is over. The event says what was done to the tank. Whoever deletes it
-- while the skimmer is off must be called all the same, so the row stays.
CREATE TABLE chosen_experiment (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    version BIGINT NOT NULL,
    kind VARCHAR(40) NOT NULL,
    planned_from DATETIME(6) NOT NULL,
    planned_until DATETIME(6) NOT NULL,
    promised JSON NOT NULL,
    lowest_oxygen DOUBLE NOT NULL,
    caution_at DATETIME(6) NULL,
    begun_at DATETIME(6) NULL,
    ended_at DATETIME(6) NULL,
    ended VARCHAR(20) NULL,
    event_id UUID NULL,
    open_before JSON NULL,
    open_after JSON NULL,
    KEY chosen_experiment_tank (tank_id, planned_from),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE,
    FOREIGN KEY (event_id) REFERENCES tank_event (id) ON DELETE SET NULL
);

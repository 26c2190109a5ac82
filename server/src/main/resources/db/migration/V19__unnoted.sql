-- What stretches of a log show that nobody noted, kept with a fingerprint of all that it was made from.
CREATE TABLE unnoted_search (
    tank_id UUID NOT NULL,
    at DATETIME(6) NOT NULL,
    fingerprint VARCHAR(64) NOT NULL,
    made_at DATETIME(6) NOT NULL,
    version INT NOT NULL,
    document JSON NOT NULL,
    PRIMARY KEY (tank_id, at),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- Of those, the ones of which their keeper said that they were nothing.
CREATE TABLE dismissed_change (
    tank_id UUID NOT NULL,
    from_day DATE NOT NULL,
    cause VARCHAR(20) NOT NULL,
    PRIMARY KEY (tank_id, from_day, cause),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

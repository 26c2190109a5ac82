-- What a log says of each suspect, kept with a fingerprint of all that it was made from.
CREATE TABLE suspect_evidence (
    tank_id UUID NOT NULL,
    at DATETIME(6) NOT NULL,
    fingerprint VARCHAR(64) NOT NULL,
    made_at DATETIME(6) NOT NULL,
    version INT NOT NULL,
    document JSON NOT NULL,
    PRIMARY KEY (tank_id, at),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- What somebody found at a check; the last time counts.
CREATE TABLE suspect_check (
    tank_id UUID NOT NULL,
    done VARCHAR(20) NOT NULL,
    answer INT NOT NULL,
    at DATETIME(6) NOT NULL,
    PRIMARY KEY (tank_id, done),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

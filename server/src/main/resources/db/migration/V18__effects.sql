-- What each change of a tank did, kept with a fingerprint of all that it was made from.
CREATE TABLE effect_card (
    tank_id UUID NOT NULL,
    at DATETIME(6) NOT NULL,
    fingerprint VARCHAR(64) NOT NULL,
    made_at DATETIME(6) NOT NULL,
    version INT NOT NULL,
    document JSON NOT NULL,
    PRIMARY KEY (tank_id, at),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- What was found of a tank last, so that a start, another instance and a night of trouble need not find it again.
-- fingerprint: of everything that it was found from; a row with another one is stale and is written over.
CREATE TABLE twin_fit (
    tank_id UUID NOT NULL PRIMARY KEY,
    fingerprint CHAR(64) NOT NULL,
    made_at DATETIME(6) NOT NULL,
    version INT NOT NULL,
    document JSON NOT NULL,
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

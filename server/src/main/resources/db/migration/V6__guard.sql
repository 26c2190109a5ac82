-- What a home keeps for an outage. The description is one document: its fields hang on what drives the thing.
CREATE TABLE kit_item (
    id UUID NOT NULL PRIMARY KEY,
    home_id UUID NOT NULL,
    version BIGINT NOT NULL,
    description JSON NOT NULL,
    FOREIGN KEY (home_id) REFERENCES home (id) ON DELETE CASCADE
);

CREATE TABLE outage (
    id UUID NOT NULL PRIMARY KEY,
    home_id UUID NOT NULL,
    started_at DATETIME(6) NOT NULL,
    ended_at DATETIME(6) NULL,
    cuts INT NOT NULL,
    KEY outage_home (home_id, started_at),
    FOREIGN KEY (home_id) REFERENCES home (id) ON DELETE CASCADE
);

-- What was done and seen. Ids are made where the note is written, so a card that is brought in twice changes nothing.
CREATE TABLE outage_note (
    id UUID NOT NULL PRIMARY KEY,
    outage_id UUID NOT NULL,
    tank_id UUID NULL,
    at DATETIME(6) NOT NULL,
    kind VARCHAR(20) NOT NULL,
    ref VARCHAR(60) NULL,
    value DOUBLE NULL,
    text VARCHAR(500) NULL,
    by_whom VARCHAR(80) NULL,
    KEY outage_note_outage (outage_id, at),
    FOREIGN KEY (outage_id) REFERENCES outage (id) ON DELETE CASCADE
);

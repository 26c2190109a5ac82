-- A lane of a programme held by hand, such as pumps off while the fish are fed, to an end that is known.
CREATE TABLE lane_hold (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    lane VARCHAR(40) NOT NULL,
    state JSON NOT NULL,
    begun_at DATETIME(6) NOT NULL,
    ends_at DATETIME(6) NOT NULL,
    -- Somebody saw that it does again what it should.
    seen BOOLEAN NOT NULL,
    KEY lane_hold_ends (tank_id, ends_at),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

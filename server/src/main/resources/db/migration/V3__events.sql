CREATE TABLE tank_event (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    kind VARCHAR(20) NOT NULL,
    at DATETIME(6) NOT NULL,
    title VARCHAR(120) NOT NULL,
    note VARCHAR(1000) NOT NULL,
    KEY tank_event_time (tank_id, at),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- A tank as it was described in an earlier time, up to `until`; from the last of them on its own row says how it is.
CREATE TABLE earlier_description (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    version BIGINT NOT NULL,
    until DATETIME(6) NOT NULL,
    description JSON NOT NULL,
    UNIQUE KEY earlier_description_until (tank_id, until),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- An event may carry what it did to the tank in the bench's own terms, and what was forecast of that.
ALTER TABLE tank_event
    ADD COLUMN version BIGINT NOT NULL DEFAULT 0,
    ADD COLUMN measures JSON NULL,
    ADD COLUMN forecast JSON NULL;

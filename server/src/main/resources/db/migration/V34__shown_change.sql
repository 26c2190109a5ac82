-- What searches of a log showed to have become less, noted since or not: upkeep learns from it.
CREATE TABLE shown_change (
    tank_id UUID NOT NULL,
    from_day DATE NOT NULL,
    cause VARCHAR(20) NOT NULL,
    PRIMARY KEY (tank_id, from_day, cause),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

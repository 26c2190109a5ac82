-- A tank's programme: one document that is read and written as a whole.
CREATE TABLE programme (
    tank_id UUID NOT NULL PRIMARY KEY,
    version BIGINT NOT NULL,
    format INT NOT NULL,
    document JSON NOT NULL,
    saved_at DATETIME(6) NOT NULL,
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

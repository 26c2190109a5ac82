-- What of a tank draws power, and for how long a day.
CREATE TABLE consumer (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    name VARCHAR(80) NOT NULL,
    watts DOUBLE NOT NULL,
    hours_per_day DOUBLE NOT NULL,
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

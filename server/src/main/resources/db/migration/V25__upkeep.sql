-- What is looked after on a tank.
CREATE TABLE upkeep_task (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    chore VARCHAR(30) NOT NULL,
    name VARCHAR(80) NOT NULL,
    own_days DOUBLE NULL,
    added_at DATETIME(6) NOT NULL,
    not_before DATE NULL,
    ended_at DATETIME(6) NULL,
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- Each time that it was done, and what it looked like then.
CREATE TABLE upkeep_done (
    id UUID NOT NULL PRIMARY KEY,
    task_id UUID NOT NULL,
    at DATETIME(6) NOT NULL,
    found VARCHAR(10) NULL,
    note VARCHAR(200) NOT NULL,
    KEY upkeep_done_of (task_id, at),
    FOREIGN KEY (task_id) REFERENCES upkeep_task (id) ON DELETE CASCADE
);

-- A solution that is dosed from a reservoir.
CREATE TABLE dosing_line (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    version BIGINT NOT NULL,
    name VARCHAR(60) NOT NULL,
    solute VARCHAR(20) NOT NULL,
    mol_per_l DOUBLE NOT NULL,
    vessel_ml DOUBLE NOT NULL,
    area_cm2 DOUBLE NULL,
    ended_at DATETIME(6) NULL,
    KEY dosing_line_tank (tank_id),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- How much a day was planned since when.
CREATE TABLE dose_plan (
    line_id UUID NOT NULL,
    since DATETIME(6) NOT NULL,
    ml_per_day DOUBLE NOT NULL,
    PRIMARY KEY (line_id, since),
    FOREIGN KEY (line_id) REFERENCES dosing_line (id) ON DELETE CASCADE
);

-- What was seen of a line: a level, a filling, bubbles, something that was changed.
CREATE TABLE line_note (
    id UUID NOT NULL PRIMARY KEY,
    line_id UUID NOT NULL,
    at DATETIME(6) NOT NULL,
    kind VARCHAR(20) NOT NULL,
    ml DOUBLE NULL,
    deviation_ml DOUBLE NULL,
    note VARCHAR(200) NOT NULL,
    KEY line_note_line (line_id, at),
    FOREIGN KEY (line_id) REFERENCES dosing_line (id) ON DELETE CASCADE
);

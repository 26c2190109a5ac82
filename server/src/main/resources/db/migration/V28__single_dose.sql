-- What was put into the water by hand: an addition, of powder by its weight or of a solution by its volume, or new water.
CREATE TABLE single_dose (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    at DATETIME(6) NOT NULL,
    solute VARCHAR(20) NULL,
    grams DOUBLE NULL,
    assay DOUBLE NULL,
    ml DOUBLE NULL,
    mol_per_l DOUBLE NULL,
    new_water_l DOUBLE NULL,
    meq_per_l DOUBLE NULL,
    calcium_mg_per_l DOUBLE NULL,
    note VARCHAR(200) NOT NULL,
    KEY single_dose_of (tank_id, at),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

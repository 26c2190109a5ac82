-- What is kept in a home's cupboard and is used up; amounts in grams, millilitres or pieces.
CREATE TABLE supply (
    id UUID NOT NULL PRIMARY KEY,
    home_id UUID NOT NULL,
    name VARCHAR(80) NOT NULL,
    uses VARCHAR(20) NOT NULL,
    solute VARCHAR(20) NULL,
    quantity VARCHAR(20) NULL,
    chore VARCHAR(30) NULL,
    own_per_day DOUBLE NULL,
    per_use DOUBLE NOT NULL,
    unit VARCHAR(10) NOT NULL,
    package_amount DOUBLE NOT NULL,
    price DOUBLE NULL,
    delivery_days DOUBLE NOT NULL,
    added_at DATETIME(6) NOT NULL,
    ended_at DATETIME(6) NULL,
    KEY supply_of (home_id),
    FOREIGN KEY (home_id) REFERENCES home (id) ON DELETE CASCADE
);

-- Each time that it was counted, or more was bought.
CREATE TABLE supply_entry (
    id UUID NOT NULL PRIMARY KEY,
    supply_id UUID NOT NULL,
    at DATETIME(6) NOT NULL,
    what VARCHAR(10) NOT NULL,
    amount DOUBLE NOT NULL,
    KEY supply_entry_of (supply_id, at),
    FOREIGN KEY (supply_id) REFERENCES supply (id) ON DELETE CASCADE
);

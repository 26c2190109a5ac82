-- The home's money, and how much of it a euro is: the prices that are assumed are round figures in euros.
ALTER TABLE home
    ADD COLUMN currency CHAR(3) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT 'EUR',
    ADD COLUMN per_euro DOUBLE NOT NULL DEFAULT 1;

-- An event may last, and may take its days out of what the twin is fitted to.
ALTER TABLE tank_event
    ADD COLUMN until DATETIME(6) NULL,
    ADD COLUMN excludes_days BOOLEAN NOT NULL DEFAULT FALSE;

-- Kept sets carry the version of their document: 1 is a field for each setting, 2 a list of measures.
ALTER TABLE bench_set
    ADD COLUMN version INT NOT NULL DEFAULT 1;

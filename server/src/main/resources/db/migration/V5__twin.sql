-- What the twin needs beyond water, light and skimmer; whatever is absent is assumed.
ALTER TABLE home ADD COLUMN tariff_per_k_wh DOUBLE NULL;
ALTER TABLE room ADD COLUMN air_changes_per_h DOUBLE NULL;
ALTER TABLE tank ADD COLUMN parts JSON NOT NULL DEFAULT '{}';
ALTER TABLE tank_surface ADD COLUMN over_air VARCHAR(20) NOT NULL DEFAULT 'ROOM';

-- Sets of remedies that a keeper kept from the bench.
CREATE TABLE bench_set (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    name VARCHAR(60) NOT NULL,
    variant JSON NOT NULL,
    kept_at DATETIME(6) NOT NULL,
    UNIQUE KEY bench_set_name (tank_id, name),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- Fills of scrubber media, and what their colour said while they were in use.
CREATE TABLE media_fill (
    id UUID NOT NULL PRIMARY KEY,
    tank_id UUID NOT NULL,
    version BIGINT NOT NULL,
    filled_at DATETIME(6) NOT NULL,
    mass_kg DOUBLE NOT NULL,
    intake VARCHAR(20) NOT NULL,
    fresh_share DOUBLE NOT NULL,
    hours VARCHAR(20) NOT NULL,
    gate_ph DOUBLE NULL,
    dries_between BOOLEAN NOT NULL,
    ended_at DATETIME(6) NULL,
    ended_by VARCHAR(20) NULL,
    KEY media_fill_tank (tank_id, filled_at),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

CREATE TABLE media_colour (
    fill_id UUID NOT NULL,
    at DATETIME(6) NOT NULL,
    changed_share DOUBLE NOT NULL,
    PRIMARY KEY (fill_id, at),
    FOREIGN KEY (fill_id) REFERENCES media_fill (id) ON DELETE CASCADE
);

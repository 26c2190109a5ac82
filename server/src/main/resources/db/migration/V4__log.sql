-- Which import brought a reading, so that an import can be taken out again; null for readings entered by hand.
ALTER TABLE reading ADD COLUMN import_id BIGINT NULL;

-- What each half hour of a series holds; kept by the writer of readings. bucket counts half hours since 1970, UTC;
-- low_s and high_s are the seconds into it at which the lowest and the highest value stand.
CREATE TABLE reading_half_hour (
    series_id BIGINT NOT NULL,
    bucket INT NOT NULL,
    n INT NOT NULL,
    total DOUBLE NOT NULL,
    low DOUBLE NOT NULL,
    low_s SMALLINT NOT NULL,
    high DOUBLE NOT NULL,
    high_s SMALLINT NOT NULL,
    PRIMARY KEY (series_id, bucket),
    FOREIGN KEY (series_id) REFERENCES series (id) ON DELETE CASCADE
);

INSERT INTO reading_half_hour (series_id, bucket, n, total, low, low_s, high, high_s)
SELECT DISTINCT series_id, bucket,
    COUNT(*) OVER (PARTITION BY series_id, bucket),
    SUM(value) OVER (PARTITION BY series_id, bucket),
    FIRST_VALUE(value) OVER (PARTITION BY series_id, bucket ORDER BY value, second),
    FIRST_VALUE(second) OVER (PARTITION BY series_id, bucket ORDER BY value, second),
    FIRST_VALUE(value) OVER (PARTITION BY series_id, bucket ORDER BY value DESC, second),
    FIRST_VALUE(second) OVER (PARTITION BY series_id, bucket ORDER BY value DESC, second)
FROM (
    SELECT series_id, value,
        TIMESTAMPDIFF(SECOND, '1970-01-01', at) DIV 1800 AS bucket,
        TIMESTAMPDIFF(SECOND, '1970-01-01', at) MOD 1800 AS second
    FROM reading
) AS seconds;

CREATE TABLE log_import (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY,
    version BIGINT NOT NULL,
    tank_id UUID NOT NULL,
    name VARCHAR(200) NOT NULL,
    format VARCHAR(10) NOT NULL,
    bytes BIGINT NOT NULL,
    state VARCHAR(20) NOT NULL,
    created_at DATETIME(6) NOT NULL,
    plan LONGTEXT NULL,
    bytes_read BIGINT NOT NULL,
    lines_read BIGINT NOT NULL,
    saved BIGINT NOT NULL,
    already_there BIGINT NOT NULL,
    conflicts BIGINT NOT NULL,
    bad BIGINT NOT NULL,
    first_at DATETIME(6) NULL,
    last_at DATETIME(6) NULL,
    replaced BOOLEAN NOT NULL,
    tries INT NOT NULL,
    leased_until DATETIME(6) NULL,
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- The file itself, in pieces, until it is read: so any instance can go on with it.
CREATE TABLE log_import_part (
    import_id BIGINT NOT NULL,
    seq INT NOT NULL,
    bytes MEDIUMBLOB NOT NULL,
    PRIMARY KEY (import_id, seq),
    FOREIGN KEY (import_id) REFERENCES log_import (id) ON DELETE CASCADE
);

CREATE TABLE log_import_bad (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY,
    import_id BIGINT NOT NULL,
    line BIGINT NOT NULL,
    text VARCHAR(200) NOT NULL,
    reason VARCHAR(300) NOT NULL,
    FOREIGN KEY (import_id) REFERENCES log_import (id) ON DELETE CASCADE
);

CREATE TABLE log_import_conflict (
    import_id BIGINT NOT NULL,
    series_id BIGINT NOT NULL,
    at DATETIME(6) NOT NULL,
    stored DOUBLE NOT NULL,
    offered DOUBLE NOT NULL,
    PRIMARY KEY (import_id, series_id, at),
    FOREIGN KEY (import_id) REFERENCES log_import (id) ON DELETE CASCADE,
    FOREIGN KEY (series_id) REFERENCES series (id) ON DELETE CASCADE
);

-- Lamps that come up and go down over some minutes.
ALTER TABLE tank ADD COLUMN light_ramp_minutes INT NOT NULL DEFAULT 0;

-- Why an import failed, or what it waits for; and when a runner last took it, so that each keeper's files get their turn.
ALTER TABLE log_import
    ADD COLUMN reason VARCHAR(300) NULL,
    ADD COLUMN claimed_at DATETIME(6) NULL;

-- One open outage for a home. Where several were begun at once, the earliest goes on and the others have ended.
UPDATE outage o
    JOIN (SELECT home_id, MIN(started_at) AS first_at FROM outage WHERE ended_at IS NULL GROUP BY home_id) f
        ON f.home_id = o.home_id
    SET o.ended_at = o.started_at
    WHERE o.ended_at IS NULL AND o.started_at > f.first_at;
UPDATE outage o
    JOIN (SELECT home_id, MIN(id) AS first_id FROM outage WHERE ended_at IS NULL GROUP BY home_id) f
        ON f.home_id = o.home_id
    SET o.ended_at = o.started_at
    WHERE o.ended_at IS NULL AND o.id <> f.first_id;
ALTER TABLE outage
    ADD COLUMN open_home_id UUID AS (IF(ended_at IS NULL, home_id, NULL)) VIRTUAL,
    ADD UNIQUE KEY outage_open (open_home_id);

-- The code that a new account needs beyond loopback: one for all instances, and a new one once it was used.
CREATE TABLE setup_code (
    id INT NOT NULL PRIMARY KEY,
    code VARCHAR(20) NOT NULL
);

-- Browsers from which a keeper signed in before: whoever guesses passwords elsewhere cannot lock them out.
CREATE TABLE known_device (
    id UUID NOT NULL PRIMARY KEY,
    keeper_id UUID NOT NULL,
    hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    last_used_at DATETIME(6) NOT NULL,
    UNIQUE KEY known_device_hash (hash),
    FOREIGN KEY (keeper_id) REFERENCES keeper (id) ON DELETE CASCADE
);

-- Sessions are found by who is in them from now on, not by a name; the old ones cannot be.
DELETE FROM SPRING_SESSION;

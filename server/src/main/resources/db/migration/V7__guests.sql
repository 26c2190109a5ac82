-- Somebody who helps at a home: sees it, logs readings and steps, changes nothing else. Only the hash of the link is kept.
CREATE TABLE helper (
    id UUID NOT NULL PRIMARY KEY,
    home_id UUID NOT NULL,
    name VARCHAR(80) NOT NULL,
    hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    created_at DATETIME(6) NOT NULL,
    last_came_at DATETIME(6) NULL,
    UNIQUE KEY helper_hash (hash),
    FOREIGN KEY (home_id) REFERENCES home (id) ON DELETE CASCADE
);

-- A token with a home may only tell whether its mains are on; one without may do what its keeper may.
ALTER TABLE access_token
    ADD COLUMN mains_home_id UUID NULL,
    ADD FOREIGN KEY (mains_home_id) REFERENCES home (id) ON DELETE CASCADE;

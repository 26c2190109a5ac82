-- An address by which a calendar reads what is due at a home; only its hash is kept.
CREATE TABLE calendar_link (
    home_id UUID NOT NULL PRIMARY KEY,
    hash CHAR(64) NOT NULL,
    created_at DATETIME(6) NOT NULL,
    UNIQUE KEY calendar_link_hash (hash),
    FOREIGN KEY (home_id) REFERENCES home (id) ON DELETE CASCADE
);

-- What was made by a request that named itself, so that the same request sent twice makes one thing.
CREATE TABLE sent_once (
    keeper_id UUID NOT NULL,
    sent_by VARCHAR(40) NOT NULL,
    request_id UUID NOT NULL,
    path VARCHAR(200) NOT NULL,
    at DATETIME(6) NOT NULL,
    status SMALLINT NULL,
    answer MEDIUMTEXT NULL,
    PRIMARY KEY (keeper_id, sent_by, request_id),
    KEY sent_once_at (at),
    FOREIGN KEY (keeper_id) REFERENCES keeper (id) ON DELETE CASCADE
);

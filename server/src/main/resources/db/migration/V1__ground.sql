CREATE TABLE keeper (
    id UUID NOT NULL PRIMARY KEY,
    name VARCHAR(80) NOT NULL,
    password_hash VARCHAR(120) NOT NULL,
    demo BOOLEAN NOT NULL,
    alkalinity_unit VARCHAR(20) NOT NULL,
    temperature_unit VARCHAR(20) NOT NULL,
    salinity_unit VARCHAR(20) NOT NULL,
    volume_unit VARCHAR(20) NOT NULL,
    created_at DATETIME(6) NOT NULL,
    UNIQUE KEY keeper_name (name)
);

CREATE TABLE access_token (
    id UUID NOT NULL PRIMARY KEY,
    keeper_id UUID NOT NULL,
    label VARCHAR(80) NOT NULL,
    hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    created_at DATETIME(6) NOT NULL,
    last_used_at DATETIME(6) NULL,
    UNIQUE KEY access_token_hash (hash),
    FOREIGN KEY (keeper_id) REFERENCES keeper (id) ON DELETE CASCADE
);

CREATE TABLE home (
    id UUID NOT NULL PRIMARY KEY,
    keeper_id UUID NOT NULL,
    version BIGINT NOT NULL,
    name VARCHAR(80) NOT NULL,
    zone VARCHAR(60) NOT NULL,
    altitude_m DOUBLE NOT NULL,
    FOREIGN KEY (keeper_id) REFERENCES keeper (id) ON DELETE CASCADE
);

CREATE TABLE room (
    id UUID NOT NULL PRIMARY KEY,
    home_id UUID NOT NULL,
    version BIGINT NOT NULL,
    name VARCHAR(80) NOT NULL,
    volume_m3 DOUBLE NULL,
    adults INT NOT NULL,
    children INT NOT NULL,
    pets INT NOT NULL,
    FOREIGN KEY (home_id) REFERENCES home (id) ON DELETE CASCADE
);

CREATE TABLE tank (
    id UUID NOT NULL PRIMARY KEY,
    room_id UUID NOT NULL,
    version BIGINT NOT NULL,
    name VARCHAR(80) NOT NULL,
    about VARCHAR(1000) NOT NULL,
    net_volume_l DOUBLE NOT NULL,
    light_on VARCHAR(5) NOT NULL,
    light_off VARCHAR(5) NOT NULL,
    light_follows_clock_changes BOOLEAN NOT NULL,
    trough_at_least DOUBLE NOT NULL,
    peak_at_most DOUBLE NOT NULL,
    act_below DOUBLE NOT NULL,
    band_reason VARCHAR(300) NOT NULL,
    stance VARCHAR(20) NOT NULL,
    skimmer_air_draw_l_per_h DOUBLE NULL,
    assumptions JSON NOT NULL,
    FOREIGN KEY (room_id) REFERENCES room (id) ON DELETE CASCADE
);

CREATE TABLE tank_surface (
    tank_id UUID NOT NULL,
    position INT NOT NULL,
    name VARCHAR(80) NOT NULL,
    area_m2 DOUBLE NOT NULL,
    motion VARCHAR(20) NOT NULL,
    PRIMARY KEY (tank_id, position),
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- What one method measures of one quantity at one place of one subject: a tank, a room, or a home for its outdoor air.
CREATE TABLE series (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY,
    home_id UUID NOT NULL,
    room_id UUID NULL,
    tank_id UUID NULL,
    subject_id UUID NOT NULL,
    quantity VARCHAR(20) NOT NULL,
    place VARCHAR(20) NOT NULL,
    method VARCHAR(20) NOT NULL,
    unit VARCHAR(30) NOT NULL,
    UNIQUE KEY series_natural (subject_id, quantity, place, method, unit),
    FOREIGN KEY (home_id) REFERENCES home (id) ON DELETE CASCADE,
    FOREIGN KEY (room_id) REFERENCES room (id) ON DELETE CASCADE,
    FOREIGN KEY (tank_id) REFERENCES tank (id) ON DELETE CASCADE
);

-- Raw values in the series' unit, clustered by series and time.
CREATE TABLE reading (
    series_id BIGINT NOT NULL,
    at DATETIME(6) NOT NULL,
    value DOUBLE NOT NULL,
    PRIMARY KEY (series_id, at),
    FOREIGN KEY (series_id) REFERENCES series (id) ON DELETE CASCADE
);

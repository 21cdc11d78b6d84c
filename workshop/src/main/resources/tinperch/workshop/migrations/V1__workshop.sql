-- One row a thing; the columns are what is searched or joined by, the body is the whole record as JSON.
CREATE TABLE machine (
    id       TEXT PRIMARY KEY,
    position INTEGER NOT NULL,
    body     TEXT NOT NULL
);

CREATE TABLE upgrade (
    id         TEXT PRIMARY KEY,
    machine_id TEXT NOT NULL REFERENCES machine (id),
    position   INTEGER NOT NULL,
    body       TEXT NOT NULL
);

CREATE TABLE revision (
    upgrade_id TEXT NOT NULL REFERENCES upgrade (id),
    number     INTEGER NOT NULL,
    kept_at    TEXT NOT NULL,
    body       TEXT NOT NULL,
    PRIMARY KEY (upgrade_id, number)
);

CREATE TABLE drawer (
    thread  TEXT PRIMARY KEY,
    lengths TEXT NOT NULL
);

CREATE TABLE preference (
    name  TEXT PRIMARY KEY,
    value TEXT NOT NULL
);

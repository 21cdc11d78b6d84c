-- What a machine or an upgrade has many of is one row a thing: sheets, models, neighbours, sites, entries of the book, parts. Lists still
-- inside bodies of before are taken out when their machine or upgrade is next written.
CREATE TABLE item (
    kind     TEXT NOT NULL,
    owner    TEXT NOT NULL,
    field    TEXT NOT NULL,
    id       TEXT NOT NULL,
    position INTEGER NOT NULL,
    body     TEXT NOT NULL,
    PRIMARY KEY (kind, owner, field, id)
);

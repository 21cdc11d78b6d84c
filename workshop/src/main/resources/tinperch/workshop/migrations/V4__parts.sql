-- An upgrade may have several parts, each with its own revisions. Upgrades and revisions of before have one, p1; what is in their
-- bodies is brought up to date when they are read (OldBodies) and written back at once.
CREATE TABLE kept (
    upgrade_id TEXT NOT NULL,
    part_id    TEXT NOT NULL,
    number     INTEGER NOT NULL,
    kept_at    TEXT NOT NULL,
    body       TEXT NOT NULL,
    PRIMARY KEY (upgrade_id, part_id, number)
);
INSERT INTO kept SELECT upgrade_id, 'p1', number, kept_at, body FROM revision;
DROP TABLE revision;
ALTER TABLE kept RENAME TO revision;

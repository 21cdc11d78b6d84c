-- Meshes of downloaded models, by the sum of what they hold; machines name them in their bodies.
CREATE TABLE mesh (
    id   TEXT PRIMARY KEY,
    body BLOB NOT NULL
);

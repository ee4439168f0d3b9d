-- A second factor of a coach: the secret, locked by the keys of the server; the last step that was used; recovery codes, hashed.
CREATE TABLE second_factor (
    coach_id INTEGER PRIMARY KEY REFERENCES coach (id) ON DELETE CASCADE,
    secret TEXT NOT NULL,
    confirmed INTEGER NOT NULL DEFAULT 0,
    last_step INTEGER NOT NULL DEFAULT 0
);

CREATE TABLE recovery_code (
    coach_id INTEGER NOT NULL REFERENCES second_factor (coach_id) ON DELETE CASCADE,
    hash TEXT NOT NULL,
    PRIMARY KEY (coach_id, hash)
) WITHOUT ROWID;

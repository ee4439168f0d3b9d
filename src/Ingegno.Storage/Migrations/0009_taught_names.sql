-- What a practice calls an exercise, where the catalogue calls it otherwise.

CREATE TABLE taught_name (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    revision INTEGER NOT NULL,
    name TEXT NOT NULL,
    document TEXT NOT NULL,
    updated_at TEXT NOT NULL,
    UNIQUE (id, coach_id)
);

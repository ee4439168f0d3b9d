-- Exercises that a practice added or changed, in the form of the catalogue.

CREATE TABLE own_exercise (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    revision INTEGER NOT NULL,
    name TEXT NOT NULL,
    document TEXT NOT NULL,
    updated_at TEXT NOT NULL,
    UNIQUE (id, coach_id)
);
CREATE UNIQUE INDEX own_exercise_key ON own_exercise (coach_id, json_extract(document, '$.id'));

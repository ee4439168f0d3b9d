-- Approaches that a coach copied and changed, in the form of data/rules/approaches.json.

CREATE TABLE own_approach (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    revision INTEGER NOT NULL,
    name TEXT NOT NULL,
    document TEXT NOT NULL,
    updated_at TEXT NOT NULL,
    UNIQUE (id, coach_id)
);
CREATE UNIQUE INDEX own_approach_key ON own_approach (coach_id, json_extract(document, '$.id'));

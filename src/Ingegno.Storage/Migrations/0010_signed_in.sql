-- Sessions of coaches who are signed in: a cookie alone opens nothing once its row is gone. The key stands hashed.

CREATE TABLE signed_in (
    key_hash TEXT PRIMARY KEY,
    coach_id INTEGER NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    began_at TEXT NOT NULL,
    seen_at TEXT NOT NULL,
    device TEXT NOT NULL
) WITHOUT ROWID;

CREATE INDEX signed_in_by_coach ON signed_in (coach_id);

-- What goes to the client, and what comes back.

-- A client's key to their own releases and log. The secret stands hashed; sealed with the keys of this installation it can be shown to the
-- coach again.
CREATE TABLE client_link (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    client_id INTEGER NOT NULL,
    secret_hash TEXT NOT NULL UNIQUE,
    sealed TEXT NOT NULL,
    made_at TEXT NOT NULL,
    expires_at TEXT,
    revoked_at TEXT,
    opened_at TEXT,
    seen_at TEXT,
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX client_link_of_client ON client_link (client_id, id);

CREATE TABLE plan_release (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    client_id INTEGER NOT NULL,
    plan_id INTEGER NOT NULL,
    plan_version INTEGER NOT NULL,
    number INTEGER NOT NULL,
    document TEXT NOT NULL,
    made_at TEXT NOT NULL,
    UNIQUE (plan_id, number),
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE,
    FOREIGN KEY (plan_id, coach_id) REFERENCES plan (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX plan_release_of_client ON plan_release (client_id, id);

CREATE TRIGGER plan_release_is_immutable BEFORE UPDATE ON plan_release
BEGIN
    SELECT RAISE(ABORT, 'a release is immutable');
END;

-- A session as the phone has it. Once finished it stands in the log as well; when the coach changed it there, both are kept.
CREATE TABLE floor_session (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    client_id INTEGER NOT NULL,
    plan_id INTEGER NOT NULL,
    release_id INTEGER NOT NULL REFERENCES plan_release (id) ON DELETE CASCADE,
    key TEXT NOT NULL,
    phone_revision INTEGER NOT NULL,
    performed_on TEXT NOT NULL,
    clock_was_off INTEGER NOT NULL,
    finished INTEGER NOT NULL,
    document TEXT NOT NULL,
    session_id INTEGER REFERENCES session_log (id) ON DELETE SET NULL,
    session_revision INTEGER,
    differs INTEGER NOT NULL DEFAULT 0,
    received_at TEXT NOT NULL,
    seen_at TEXT,
    UNIQUE (client_id, key),
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE,
    FOREIGN KEY (plan_id, coach_id) REFERENCES plan (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX floor_session_of_coach ON floor_session (coach_id, seen_at);
CREATE INDEX floor_session_of_log ON floor_session (session_id);

-- Short notes between coach and client, a thread a session.
CREATE TABLE floor_note (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    client_id INTEGER NOT NULL,
    session_key TEXT NOT NULL,
    exercise_id TEXT,
    from_client INTEGER NOT NULL,
    text TEXT NOT NULL,
    key TEXT NOT NULL,
    at TEXT NOT NULL,
    seen_at TEXT,
    UNIQUE (client_id, key),
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX floor_note_of_coach ON floor_note (coach_id, seen_at);

-- Every row that belongs to a coach carries the coach, and composite foreign keys keep rows of two coaches apart.

CREATE TABLE coach (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    email TEXT NOT NULL COLLATE NOCASE UNIQUE,
    name TEXT NOT NULL,
    password_hash TEXT NOT NULL,
    created_at TEXT NOT NULL
);

CREATE TABLE client (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    revision INTEGER NOT NULL,
    name TEXT NOT NULL,
    document TEXT NOT NULL,
    updated_at TEXT NOT NULL,
    UNIQUE (id, coach_id)
);
CREATE INDEX client_of_coach ON client (coach_id, name);

CREATE TABLE place (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    client_id INTEGER NOT NULL,
    revision INTEGER NOT NULL,
    name TEXT NOT NULL,
    document TEXT NOT NULL,
    updated_at TEXT NOT NULL,
    UNIQUE (id, coach_id),
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX place_of_client ON place (client_id);

CREATE TABLE gym_day (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    client_id INTEGER NOT NULL,
    revision INTEGER NOT NULL,
    name TEXT NOT NULL,
    document TEXT NOT NULL,
    updated_at TEXT NOT NULL,
    UNIQUE (id, coach_id),
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX gym_day_of_client ON gym_day (client_id);

CREATE TABLE plan (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    client_id INTEGER NOT NULL,
    place_id INTEGER REFERENCES place (id) ON DELETE SET NULL,
    gym_day_id INTEGER REFERENCES gym_day (id) ON DELETE SET NULL,
    title TEXT NOT NULL,
    revision INTEGER NOT NULL,
    head INTEGER NOT NULL,
    created_at TEXT NOT NULL,
    updated_at TEXT NOT NULL,
    UNIQUE (id, coach_id),
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX plan_of_client ON plan (client_id);

CREATE TABLE plan_version (
    plan_id INTEGER NOT NULL,
    coach_id INTEGER NOT NULL,
    number INTEGER NOT NULL,
    parent INTEGER,
    note TEXT NOT NULL,
    document TEXT NOT NULL,
    created_at TEXT NOT NULL,
    PRIMARY KEY (plan_id, number),
    FOREIGN KEY (plan_id, coach_id) REFERENCES plan (id, coach_id) ON DELETE CASCADE
);

-- A version, once written, stays as it is.
CREATE TRIGGER plan_version_is_immutable BEFORE UPDATE ON plan_version
BEGIN
    SELECT RAISE(ABORT, 'a plan version is immutable');
END;

CREATE TABLE session_log (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    plan_id INTEGER NOT NULL,
    plan_version INTEGER NOT NULL,
    performed_on TEXT NOT NULL,
    effort INTEGER,
    minutes INTEGER,
    note TEXT,
    created_at TEXT NOT NULL,
    UNIQUE (id, coach_id),
    FOREIGN KEY (plan_id, coach_id) REFERENCES plan (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX session_log_of_plan ON session_log (plan_id, performed_on);

CREATE TABLE logged_set (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    session_id INTEGER NOT NULL,
    line INTEGER NOT NULL,
    exercise_id TEXT NOT NULL,
    set_number INTEGER NOT NULL,
    reps INTEGER NOT NULL CHECK (reps BETWEEN 0 AND 500),
    load_kg REAL CHECK (load_kg BETWEEN 0 AND 500),
    rir INTEGER CHECK (rir BETWEEN 0 AND 10),
    pain INTEGER CHECK (pain BETWEEN 0 AND 10),
    pain_joint TEXT,
    FOREIGN KEY (session_id, coach_id) REFERENCES session_log (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX logged_set_of_session ON logged_set (session_id);

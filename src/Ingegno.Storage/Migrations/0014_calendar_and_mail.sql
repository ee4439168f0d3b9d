-- When a client trains, and the address under which a calendar asks for it: a secret of its own, for calendars hand their addresses on.
CREATE TABLE client_calendar (
    client_id INTEGER PRIMARY KEY,
    coach_id INTEGER NOT NULL,
    link_id INTEGER NOT NULL REFERENCES client_link (id) ON DELETE CASCADE,
    secret_hash TEXT NOT NULL UNIQUE,
    sealed TEXT NOT NULL,
    times TEXT NOT NULL,
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE
);

-- Mail. What goes to a client stands here until it is erased with the client; what goes to a coach has none, and its text goes when it is handed
-- over.
CREATE TABLE outbox (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    client_id INTEGER,
    address TEXT NOT NULL,
    subject TEXT NOT NULL,
    message TEXT NOT NULL,
    made_at TEXT NOT NULL,
    tries INTEGER NOT NULL DEFAULT 0,
    next_try_at TEXT NOT NULL,
    sent_at TEXT,
    fault TEXT,
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX outbox_to_send ON outbox (sent_at, next_try_at);
CREATE INDEX outbox_of_coach ON outbox (coach_id, id);

-- Links with which a coach who forgot the password sets another one. One use, an hour; they stand hashed.
CREATE TABLE password_reset (
    secret_hash TEXT PRIMARY KEY,
    coach_id INTEGER NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    ends_at TEXT NOT NULL
) WITHOUT ROWID;

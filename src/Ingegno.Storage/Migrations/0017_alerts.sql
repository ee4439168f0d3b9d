-- Signs of danger that a client told of or tapped. An alert stands first until the coach has answered it; until then what it touches is
-- held. It never goes by itself: with the client alone.
CREATE TABLE alert (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    client_id INTEGER NOT NULL,
    key TEXT NOT NULL,
    document TEXT NOT NULL,
    made_at TEXT NOT NULL,
    answered_at TEXT,
    answer TEXT,
    UNIQUE (client_id, key),
    FOREIGN KEY (client_id, coach_id) REFERENCES client (id, coach_id) ON DELETE CASCADE
);
CREATE INDEX alert_of_coach ON alert (coach_id, answered_at);

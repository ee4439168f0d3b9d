-- What of a practice's own came in with a client's file: it goes with the client when nobody else uses it.
CREATE TABLE brought_with_client (
    client_id INTEGER NOT NULL REFERENCES client (id) ON DELETE CASCADE,
    coach_id INTEGER NOT NULL,
    kind TEXT NOT NULL,
    row_id INTEGER NOT NULL,
    PRIMARY KEY (client_id, kind, row_id)
) WITHOUT ROWID;

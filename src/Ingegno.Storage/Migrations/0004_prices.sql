-- What things on offer cost where a coach is, in the coach's currency.

CREATE TABLE own_price (
    coach_id INTEGER NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    name TEXT NOT NULL,
    price REAL NOT NULL CHECK (price > 0),
    PRIMARY KEY (coach_id, name)
);

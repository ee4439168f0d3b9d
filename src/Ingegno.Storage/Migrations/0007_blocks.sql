-- Blocks of a plan: how the coach wants one, and its weeks as they were planned. A block that was taken away can be brought back.
CREATE TABLE block (
    id INTEGER PRIMARY KEY,
    coach_id INTEGER NOT NULL,
    plan_id INTEGER NOT NULL,
    starts TEXT NOT NULL,
    ends TEXT NOT NULL,
    revision INTEGER NOT NULL DEFAULT 1,
    removed INTEGER NOT NULL DEFAULT 0,
    document TEXT NOT NULL,
    updated_at TEXT NOT NULL,
    FOREIGN KEY (plan_id, coach_id) REFERENCES plan (id, coach_id) ON DELETE CASCADE
);

CREATE INDEX block_of_plan ON block (plan_id, starts);

-- What a set was under the plan of its day, so that strength and trends can be read without the plan; revisions of sessions.
ALTER TABLE logged_set ADD COLUMN sharp INTEGER NOT NULL DEFAULT 0;
ALTER TABLE logged_set ADD COLUMN system_kg REAL;
ALTER TABLE logged_set ADD COLUMN straight_share REAL NOT NULL DEFAULT 1;
ALTER TABLE logged_set ADD COLUMN planned_reps INTEGER;
ALTER TABLE logged_set ADD COLUMN planned_rir INTEGER;
ALTER TABLE session_log ADD COLUMN revision INTEGER NOT NULL DEFAULT 1;
ALTER TABLE session_log ADD COLUMN planned_sets INTEGER;
ALTER TABLE session_log ADD COLUMN source TEXT NOT NULL DEFAULT 'typed';

-- What the roster needs of a plan's log, renewed with every entry.
CREATE TABLE plan_pulse (
    plan_id INTEGER PRIMARY KEY,
    coach_id INTEGER NOT NULL,
    document TEXT NOT NULL,
    FOREIGN KEY (plan_id, coach_id) REFERENCES plan (id, coach_id) ON DELETE CASCADE
);

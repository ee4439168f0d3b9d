-- Posts that were done: sent again with the same key they are not done twice.
CREATE TABLE done_once (
    coach_id INTEGER NOT NULL REFERENCES coach (id) ON DELETE CASCADE,
    key TEXT NOT NULL,
    digest TEXT NOT NULL,
    made TEXT NOT NULL,
    at TEXT NOT NULL,
    PRIMARY KEY (coach_id, key)
) WITHOUT ROWID;

-- Plans whose pulse is older than their log. The triggers write in the transaction of the log itself: whatever ends a server between
-- the log and the pulse, the roster knows that it has to look again.
CREATE TABLE pulse_due (
    plan_id INTEGER PRIMARY KEY,
    coach_id INTEGER NOT NULL,
    mark INTEGER NOT NULL,
    FOREIGN KEY (plan_id, coach_id) REFERENCES plan (id, coach_id) ON DELETE CASCADE
);

CREATE TRIGGER session_added_makes_pulse_due AFTER INSERT ON session_log
BEGIN
    INSERT INTO pulse_due (plan_id, coach_id, mark) VALUES (new.plan_id, new.coach_id, 1)
    ON CONFLICT (plan_id) DO UPDATE SET mark = mark + 1;
END;

CREATE TRIGGER session_changed_makes_pulse_due AFTER UPDATE ON session_log
BEGIN
    INSERT INTO pulse_due (plan_id, coach_id, mark) VALUES (new.plan_id, new.coach_id, 1)
    ON CONFLICT (plan_id) DO UPDATE SET mark = mark + 1;
END;

CREATE TRIGGER session_taken_out_makes_pulse_due AFTER DELETE ON session_log
WHEN EXISTS (SELECT 1 FROM plan WHERE id = old.plan_id)
BEGIN
    INSERT INTO pulse_due (plan_id, coach_id, mark) VALUES (old.plan_id, old.coach_id, 1)
    ON CONFLICT (plan_id) DO UPDATE SET mark = mark + 1;
END;

-- Which plan was worked on last is counted, for a clock may be set back.
ALTER TABLE plan ADD COLUMN touched INTEGER NOT NULL DEFAULT 0;
UPDATE plan SET touched = (
    SELECT count(*) FROM plan other
    WHERE other.updated_at < plan.updated_at OR (other.updated_at = plan.updated_at AND other.id <= plan.id)
);

-- What was done that somebody may have to answer for. No names: they would outlive what is erased.
CREATE TABLE audit (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    coach_id INTEGER NOT NULL,
    at TEXT NOT NULL,
    what TEXT NOT NULL,
    about TEXT NOT NULL
);
CREATE INDEX audit_of_coach ON audit (coach_id, id);

CREATE TRIGGER audit_is_not_rewritten BEFORE UPDATE ON audit
BEGIN
    SELECT RAISE(ABORT, 'the audit trail is not rewritten');
END;

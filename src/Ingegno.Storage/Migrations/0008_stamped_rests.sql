-- The rest and the technique that a set was planned with: from them the client's own costs are learnt.
ALTER TABLE logged_set ADD COLUMN planned_rest INTEGER;
ALTER TABLE logged_set ADD COLUMN technique TEXT;

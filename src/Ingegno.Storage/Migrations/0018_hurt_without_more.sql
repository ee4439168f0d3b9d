-- A client may say that a set hurt without where and how much: it counts until somebody has asked.
ALTER TABLE logged_set ADD COLUMN hurts INTEGER NOT NULL DEFAULT 0;

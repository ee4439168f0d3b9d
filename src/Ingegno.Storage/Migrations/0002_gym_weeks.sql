-- A gym program is kept week by week; the days stand in the text of a week under their headings.

ALTER TABLE gym_day RENAME TO gym_week;
ALTER TABLE plan RENAME COLUMN gym_day_id TO gym_week_id;
DROP INDEX gym_day_of_client;
CREATE INDEX gym_week_of_client ON gym_week (client_id);

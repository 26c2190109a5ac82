-- Where a line's hose ends; empty where nobody said.
ALTER TABLE dosing_line ADD COLUMN place VARCHAR(60) NOT NULL DEFAULT '';

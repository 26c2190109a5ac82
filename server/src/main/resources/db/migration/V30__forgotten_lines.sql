-- A line that its keeper forgot can be taken back for a while.
ALTER TABLE dosing_line
    ADD COLUMN forgotten_at DATETIME(6) NULL;

-- What a vessel weighs when it is empty, where its level is read by a scale.
ALTER TABLE dosing_line
    ADD COLUMN empty_g DOUBLE NULL;

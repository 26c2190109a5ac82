-- What keeps a dosing vessel from emptying at once: null where nobody was asked, on lines that were there before.
ALTER TABLE dosing_line
    ADD COLUMN siphon VARCHAR(20) NULL,
    ADD COLUMN stuck VARCHAR(20) NULL;

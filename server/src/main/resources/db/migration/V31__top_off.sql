-- Fresh water for what evaporated.
ALTER TABLE single_dose
    ADD COLUMN top_off_l DOUBLE NULL;

-- Power that came back and went again: an end from before that, told late by a phone that was away, ends nothing.
ALTER TABLE outage
    ADD COLUMN last_cut_at DATETIME(6) NULL;

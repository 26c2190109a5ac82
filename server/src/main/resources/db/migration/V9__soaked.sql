-- What soaked media do to the air: choke it, or let it pass. Null where nobody looked.
ALTER TABLE media_fill
    ADD COLUMN chokes BOOLEAN NULL;

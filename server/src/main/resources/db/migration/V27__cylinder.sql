-- What a pump was told to give into a cylinder; what it gave stands in ml.
ALTER TABLE line_note
    ADD COLUMN asked_ml DOUBLE NULL;

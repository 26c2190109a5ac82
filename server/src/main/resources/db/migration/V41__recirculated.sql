-- Exhaust that goes back into the skimmer is called recirculated everywhere; until now it was "led back".
UPDATE tank_event SET measures = REPLACE(REPLACE(measures, '"led-back-media"', '"recirculated-media"'), '"ledBack"', '"recirculated"')
    WHERE measures LIKE '%led%ack%';
UPDATE tank_event SET forecast = REPLACE(REPLACE(forecast, '"led-back-media"', '"recirculated-media"'), '"ledBack"', '"recirculated"')
    WHERE forecast LIKE '%led%ack%';
UPDATE bench_set SET variant = REPLACE(REPLACE(variant, '"led-back-media"', '"recirculated-media"'), '"ledBack"', '"recirculated"')
    WHERE variant LIKE '%led%ack%';
UPDATE programme SET document = REPLACE(document, '"LED_BACK"', '"RECIRCULATED"') WHERE document LIKE '%LED_BACK%';
UPDATE lane_hold SET state = REPLACE(state, '"LED_BACK"', '"RECIRCULATED"') WHERE state LIKE '%LED_BACK%';

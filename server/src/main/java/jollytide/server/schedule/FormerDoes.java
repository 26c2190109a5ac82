package jollytide.server.schedule;

import jollytide.core.schedule.LaneState.Does;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ValueDeserializer;

/** What a lane does, by today's name or the one in files that were saved until December 2026. */
class FormerDoes extends ValueDeserializer<Does> {
    @Override
    public Does deserialize(JsonParser json, DeserializationContext context) {
        return "LED_BACK".equals(json.getString()) ? Does.RECIRCULATED : context.readValue(json, Does.class);
    }
}

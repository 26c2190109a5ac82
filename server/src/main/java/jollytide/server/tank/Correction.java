package jollytide.server.tank;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Carries what was described wrongly back through earlier descriptions, as far as they said the same. */
final class Correction {
    private Correction() {}

    /** @return {@code earlier} with every value that it shares with {@code wrong} as {@code right} has it */
    static JsonNode carried(JsonNode earlier, JsonNode wrong, JsonNode right) {
        if (earlier.equals(wrong)) {
            return right;
        }
        if (!earlier.isObject() || !wrong.isObject() || !right.isObject()) {
            return earlier;
        }
        ObjectNode result = (ObjectNode) earlier.deepCopy();
        right.properties().forEach(field -> {
            JsonNode was = earlier.path(field.getKey());
            result.set(field.getKey(), carried(was, wrong.path(field.getKey()), field.getValue()));
        });
        return result;
    }
}

package jollytide.server;

import java.util.Arrays;
import java.util.stream.Collectors;

/** Sets of measures as they go over the wire. */
public final class Sets {
    public static final String NONE = "{\"measures\":[]}";

    private Sets() {}

    /** @param settings {@code name=value} each: a number, or a choice in capitals */
    public static String measure(String kind, String... settings) {
        return "{\"kind\":\"%s\",\"numbers\":{%s},\"choices\":{%s}}"
                .formatted(kind, joined(settings, false), joined(settings, true));
    }

    private static String joined(String[] settings, boolean choices) {
        return Arrays.stream(settings)
                .map(setting -> setting.split("="))
                .filter(pair -> Character.isUpperCase(pair[1].charAt(0)) == choices)
                .map(pair -> "\"" + pair[0] + "\":" + (choices ? "\"" + pair[1] + "\"" : pair[1]))
                .collect(Collectors.joining(","));
    }

    public static String of(String... measures) {
        return "{\"measures\":[" + String.join(",", measures) + "]}";
    }

    /** A set of one. */
    public static String one(String kind, String... settings) {
        return of(measure(kind, settings));
    }
}

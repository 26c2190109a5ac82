package jollytide.server;

import java.time.Instant;
import java.time.temporal.ChronoUnit;

/** A home with one tank, and the readings of the worked case. */
public final class Samples {
    public static final String HOME = """
            {"name":"Test house","zone":"Europe/Amsterdam","altitudeM":0}""";
    public static final String ROOM = """
            {"name":"Study","volumeM3":40,"adults":1,"children":0,"pets":0}""";
    public static final String TANK = """
            {"name":"Tide pool","about":"","netVolumeL":420,
             "surfaces":[{"name":"display","areaM2":0.9,"motion":"ROLLING"}],
             "light":{"on":"10:00","off":"21:00","followsClockChanges":true},
             "band":{"troughAtLeast":8.0,"peakAtMost":8.4,"actBelow":7.8,"reason":"growth"},
             "stance":"LIFT","skimmerAirDrawLPerH":500,"assumptions":{}}""";

    /** A lagoon, whose broken surface keeps its animals in oxygen without the skimmer. */
    public static final String LAGOON =
            TANK.replace("\"areaM2\":0.9,\"motion\":\"ROLLING\"", "\"areaM2\":3,\"motion\":\"BROKEN\"");

    private Samples() {}

    /** Makes home, room and tank and returns the tank's id. */
    public static String tank(Visitor visitor) {
        String home = visitor.post("/homes", HOME).body().path("id").asString();
        String room = visitor.post("/homes/" + home + "/rooms", ROOM)
                .body()
                .path("id")
                .asString();
        return visitor.post("/rooms/" + room + "/tanks", TANK).body().path("id").asString();
    }

    public static String reading(String at, String unit, String place, String method, double value) {
        return """
                {"at":"%s","values":[{"unit":"%s","place":"%s","method":"%s","value":%s}]}""".formatted(at, unit, place, method, value);
    }

    /** The worked case: pH 7.84 by an unchecked probe, 8.5 dKH, 25.5 °C, S 35, room 830 ppm. */
    public static String workedCase(Instant at) {
        return """
                {"at":"%s","values":[
                  {"unit":"PH_NBS","place":"TANK","method":"PROBE","value":7.84},
                  {"unit":"DKH","place":"TANK","method":"TITRATION_KIT","value":8.5},
                  {"unit":"CELSIUS","place":"TANK","method":"METER","value":25.5},
                  {"unit":"PSU","place":"TANK","method":"REFRACTOMETER","value":35},
                  {"unit":"CO2_PPM","place":"ROOM","method":"METER","value":830}]}""".formatted(at.truncatedTo(ChronoUnit.SECONDS));
    }
}

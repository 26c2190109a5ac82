package jollytide.server.home;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import jollytide.core.scenario.RoomSeason;

/**
 * Where the places lie that zones are named after, from the time zone database's own table ({@code zone.tab}, in the public
 * domain): near enough to tell summer from winter and the tropics from both.
 */
final class ZonePlaces {
    private static final Map<String, Double> LATITUDES = read();
    private static final int NAME = 2;
    private static final int PLACE = 1;
    /** Degrees and minutes: ±DDMM, or ±DDMMSS. */
    private static final int DEGREES_TO = 3;

    private static final int MINUTES_TO = 5;
    /** A zone without a place: clocks that are forward in January are the south's. */
    private static final Instant JANUARY = Instant.parse("2026-01-15T00:00:00Z");

    private ZonePlaces() {}

    static RoomSeason season(ZoneId zone) {
        Double latitude = LATITUDES.get(zone.getId());
        if (latitude != null) {
            return new RoomSeason(latitude);
        }
        double assumed = RoomSeason.TEMPERATE.latitude();
        return new RoomSeason(zone.getRules().isDaylightSavings(JANUARY) ? -assumed : assumed);
    }

    private static Map<String, Double> read() {
        try (InputStream table = Objects.requireNonNull(ZonePlaces.class.getResourceAsStream("/zone.tab"))) {
            Map<String, Double> latitudes = new HashMap<>();
            new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t"))
                    .forEach(columns -> latitudes.put(columns[NAME], latitude(columns[PLACE])));
            return latitudes;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static double latitude(String place) {
        double degrees = Integer.parseInt(place.substring(1, DEGREES_TO));
        double minutes = Integer.parseInt(place.substring(DEGREES_TO, MINUTES_TO));
        return (place.charAt(0) == '-' ? -1 : 1) * (degrees + minutes / 60);
    }
}

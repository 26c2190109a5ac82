package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

/**
 * The air around a tank without mains.
 *
 * @param celsius as it likely is
 * @param doubtK by how much it may be warmer or colder; 0 where it was measured
 * @param humidity 0 to 1
 */
public record RoomAround(double celsius, double doubtK, double humidity) {
    /** Of a room's air where nobody measured it. From memory. */
    public static final double ORDINARY_HUMIDITY = 0.5;

    /** Of a room's temperature that is taken from place and season. From memory. */
    public static final double SEASON_DOUBT_K = 3;

    public RoomAround {
        within("roomC", celsius, -20, 45, "°C");
        within("roomDoubtK", doubtK, 0, 15, "K");
        within("humidity", humidity, 0, 1, "");
    }

    /** One that was measured. */
    public static RoomAround known(double celsius) {
        return new RoomAround(celsius, 0, ORDINARY_HUMIDITY);
    }

    /** One that place and season let expect. */
    public static RoomAround expected(double celsius) {
        return new RoomAround(celsius, SEASON_DOUBT_K, ORDINARY_HUMIDITY);
    }

    public double warmestC() {
        return celsius + doubtK;
    }

    public double coldestC() {
        return celsius - doubtK;
    }
}

package jollytide.core.scenario;

import static jollytide.core.units.Quantities.within;

import java.time.LocalDate;
import java.time.Month;
import java.util.Arrays;
import java.util.List;

/**
 * A room without heating or cooling through the year, by its latitude: a smooth year without steps, turned round in the
 * south, and nearly even in the tropics. Temperatures are from memory; one that was measured replaces them.
 *
 * @param latitude degrees, north positive
 */
public record RoomSeason(double latitude) {
    /** Where nobody knows the place. */
    public static final RoomSeason TEMPERATE = new RoomSeason(48);

    private static final double TROPICS_TO = 15;
    private static final double TEMPERATE_FROM = 40;
    private static final double TROPICAL_MEAN_C = 27;
    private static final double TEMPERATE_MEAN_C = 22;
    private static final double TROPICAL_SWING_K = 1;
    private static final double TEMPERATE_SWING_K = 5;
    /** Late July; half a year later in the south. */
    private static final double WARMEST_DAY = 205;

    private static final double YEAR_DAYS = 365.25;
    private static final int MIDDLE_OF_MONTH = 15;

    public RoomSeason {
        within("latitude", latitude, -90, 90, "°");
    }

    /** 0 in the tropics, 1 where winters are cold. */
    private double temperate() {
        return Math.max(0, Math.min(1, (Math.abs(latitude) - TROPICS_TO) / (TEMPERATE_FROM - TROPICS_TO)));
    }

    private double meanC() {
        return TROPICAL_MEAN_C + temperate() * (TEMPERATE_MEAN_C - TROPICAL_MEAN_C);
    }

    private double swingK() {
        return TROPICAL_SWING_K + temperate() * (TEMPERATE_SWING_K - TROPICAL_SWING_K);
    }

    /** On a day. */
    public double roomC(LocalDate day) {
        double warmest = latitude < 0 ? WARMEST_DAY - YEAR_DAYS / 2 : WARMEST_DAY;
        return meanC() + swingK() * Math.cos(2 * Math.PI * (day.getDayOfYear() - warmest) / YEAR_DAYS);
    }

    public double warmestC() {
        return meanC() + swingK();
    }

    public double coldestC() {
        return meanC() - swingK();
    }

    /** Months, 1 to 12, whose nights are nearer to the warmest than to the mean of the year; all where there is no winter. */
    public List<Integer> warmMonths() {
        double warm = temperate() == 0 ? coldestC() : meanC() + swingK() / 2;
        return Arrays.stream(Month.values())
                .filter(month -> roomC(LocalDate.of(2026, month, MIDDLE_OF_MONTH)) >= warm)
                .map(Month::getValue)
                .toList();
    }
}

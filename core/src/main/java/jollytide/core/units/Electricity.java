package jollytide.core.units;

import static jollytide.core.units.Quantities.within;

/** What runs, in energy. */
public final class Electricity {
    private static final double DAYS_PER_YEAR = 365;
    public static final double MONTHS_PER_YEAR = 12;

    private Electricity() {}

    /** Energy of a year, kWh: 8.76 for each watt that runs all day. */
    public static double kWhPerYear(double watts, double hoursPerDay) {
        within("watts", watts, 0, 20_000, "W");
        within("hoursPerDay", hoursPerDay, 0, 24, "h");
        return watts * hoursPerDay * DAYS_PER_YEAR / 1000;
    }
}

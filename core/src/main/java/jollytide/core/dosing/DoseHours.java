package jollytide.core.dosing;

import java.util.Collections;
import java.util.List;
import jollytide.core.units.InputException;

/**
 * In which hours of the local day doses are made.
 *
 * @param shares of a day's doses, hour by hour, 24 of them; 1 in all
 */
public record DoseHours(List<Double> shares) {
    public static final int HOURS = 24;
    /** All day alike. */
    public static final DoseHours EVENLY = new DoseHours(Collections.nCopies(HOURS, 1.0 / HOURS));

    private static final double ROUNDING = 1e-9;

    public DoseHours {
        shares = List.copyOf(shares);
        double sum = shares.stream().mapToDouble(Double::doubleValue).sum();
        if (shares.size() != HOURS || shares.stream().anyMatch(s -> !(s >= 0)) || Math.abs(sum - 1) > ROUNDING) {
            throw new InputException("doseHours", sum, "24 shares that make 1", "Doses by hours, 24 shares of a day.");
        }
    }

    /** Whether all hours are alike. */
    public boolean even() {
        return shares.stream().allMatch(s -> Math.abs(s * HOURS - 1) < ROUNDING);
    }

    /** Times what a day's mean is. */
    public double times(double localHour) {
        return HOURS * shares.get(Math.floorMod((int) Math.floor(localHour), HOURS));
    }
}

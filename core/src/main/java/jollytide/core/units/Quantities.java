package jollytide.core.units;

/** Checks at the door: a value enters a record only inside its physical range. */
public final class Quantities {
    private Quantities() {}

    /**
     * Returns {@code value} when it lies in [{@code min}, {@code max}].
     *
     * @throws InputException naming field, value and range when it does not, or is NaN or infinite
     */
    public static double within(String field, double value, double min, double max, String unit) {
        if (value >= min && value <= max) {
            return value;
        }
        String allowed = plain(min) + " to " + plain(max) + (unit.isEmpty() ? "" : " " + unit);
        String held = Double.isNaN(value) ? "is not a number" : "is " + plain(value);
        throw new InputException(field, value, allowed, field + " " + held + ". Allowed: " + allowed + ".");
    }

    /** A number without trailing zeros: 35 rather than 35.0. */
    public static String plain(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e9
                ? Long.toString((long) value)
                : Double.toString(value);
    }
}

package jollytide.core.probe;

import static jollytide.core.units.Quantities.within;

import jollytide.core.units.InputException;

/** A colour kit read twice, by two people or by one who does not remember the first. */
public final class ColourKit {
    /** Two reads further apart are of two opinions. Common practice, no source: a card tells 0.2 to 0.3. */
    private static final double MOST_APART = 0.3;

    private static final double ROUNDING = 1e-9;

    private ColourKit() {}

    /**
     * What both reads say together, NBS scale, to the hundredth.
     *
     * @throws InputException when they are too far apart, or no pH of a tank
     */
    public static double together(double first, double second) {
        within("firstPh", first, 5, 11, "");
        within("secondPh", second, 5, 11, "");
        if (Math.abs(first - second) > MOST_APART + ROUNDING) {
            throw new InputException(
                    "secondPh",
                    second,
                    "within 0.3 of the first read",
                    "The readings differ by more than 0.3. " + "Read both again.");
        }
        return Math.round(50 * (first + second)) / 100.0;
    }
}

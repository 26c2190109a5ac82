package jollytide.core.probe;

import static jollytide.core.units.Quantities.within;

/**
 * Standard buffers whose pH hangs on their temperature. Values of NIST and DIN 19266 at 20, 25 and 30 °C; those of
 * phthalate and of carbonate from memory. Technical buffers (4.00, 7.00, 10.00) have their makers' own tables: their
 * value at the temperature is read off the bottle.
 */
public enum Buffer {
    PHTHALATE(4.00, 4.005, 4.01),
    PHOSPHATE(6.881, 6.865, 6.853),
    BORAX(9.225, 9.180, 9.139),
    CARBONATE(10.06, 10.01, 9.97);

    private static final double AT = 25;
    private static final double STEP = 5;
    /** Further from its table a buffer's value is not known here. */
    public static final double LEAST_C = 15;

    public static final double MOST_C = 35;

    private final double at20;
    private final double at25;
    private final double at30;

    Buffer(double at20, double at25, double at30) {
        this.at20 = at20;
        this.at25 = at25;
        this.at30 = at30;
    }

    /**
     * Its pH, straight between the table's temperatures and on beyond them.
     *
     * @throws jollytide.core.units.InputException outside 15 to 35 °C
     */
    public double ph(double celsius) {
        within("temperatureC", celsius, LEAST_C, MOST_C, "°C");
        double perC = (celsius < AT ? at25 - at20 : at30 - at25) / STEP;
        return at25 + perC * (celsius - AT);
    }
}

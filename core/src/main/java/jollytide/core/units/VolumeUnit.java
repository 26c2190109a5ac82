package jollytide.core.units;

/** Litres inside, either at the edge. */
public enum VolumeUnit {
    LITRE("L", 1),
    /** The US liquid gallon, 231 cubic inches (definition). */
    US_GALLON("US gal", 3.785411784);

    private final String symbol;
    private final double litres;

    VolumeUnit(String symbol, double litres) {
        this.symbol = symbol;
        this.litres = litres;
    }

    public String symbol() {
        return symbol;
    }

    /** The same volume in litres. */
    public double toLitres(double value) {
        return value * litres;
    }

    /** The volume {@code l} in this unit. */
    public double fromLitres(double l) {
        return l / litres;
    }
}

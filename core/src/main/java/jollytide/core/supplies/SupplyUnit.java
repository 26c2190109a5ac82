package jollytide.core.supplies;

/** In what a supply is counted. Factors by definition: the avoirdupois pound, the US liquid ounce. */
public enum SupplyUnit {
    G(Kind.MASS, 1),
    KG(Kind.MASS, 1000),
    OZ(Kind.MASS, 28.349523125),
    LB(Kind.MASS, 453.59237),
    ML(Kind.VOLUME, 1),
    L(Kind.VOLUME, 1000),
    US_FL_OZ(Kind.VOLUME, 29.5735295625),
    PIECES(Kind.COUNT, 1);

    /** What is counted: inside it is grams, millilitres, pieces. */
    public enum Kind {
        MASS,
        VOLUME,
        COUNT
    }

    private final Kind kind;
    private final double factor;

    SupplyUnit(Kind kind, double factor) {
        this.kind = kind;
        this.factor = factor;
    }

    public Kind kind() {
        return kind;
    }

    /** In grams, millilitres or pieces. */
    public double toInner(double amount) {
        return amount * factor;
    }

    public double fromInner(double inner) {
        return inner / factor;
    }
}

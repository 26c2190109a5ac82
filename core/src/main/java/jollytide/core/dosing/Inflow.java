package jollytide.core.dosing;

/**
 * What is poured in, per litre of the tank and day.
 *
 * @param alkalinityMeq milliequivalents
 * @param carbonMmol inorganic carbon
 */
public record Inflow(double alkalinityMeq, double carbonMmol, double calciumMmol, double potassiumMmol) {
    public static final Inflow NONE = new Inflow(0, 0, 0, 0);

    public Inflow plus(Inflow other) {
        return new Inflow(
                alkalinityMeq + other.alkalinityMeq,
                carbonMmol + other.carbonMmol,
                calciumMmol + other.calciumMmol,
                potassiumMmol + other.potassiumMmol);
    }

    public Inflow times(double factor) {
        return new Inflow(alkalinityMeq * factor, carbonMmol * factor, calciumMmol * factor, potassiumMmol * factor);
    }
}

package jollytide.core.seawater;

/**
 * Constants of the carbonate system in one parcel of water, mol/kg of seawater, one atmosphere, on the total pH scale
 * unless said otherwise. Forms and check values: Dickson, Sabine and Christian (2007), <i>Guide to Best Practices for
 * Ocean CO2 Measurements</i>, chapter 5, except where named.
 *
 * @param k0 CO2 solubility, mol/(kg·atm)
 * @param ks bisulfate, free scale
 * @param kf hydrogen fluoride, total scale
 * @param nbsMinusTotal what a pH on the NBS scale reads above the same pH on the total scale
 */
public record EquilibriumConstants(
        double k0,
        double k1,
        double k2,
        double kb,
        double kw,
        double ks,
        double kf,
        double kspAragonite,
        double totalBoron,
        double totalSulfate,
        double totalFluoride,
        double typicalCalcium,
        double nbsMinusTotal) {

    public static EquilibriumConstants of(Seawater water) {
        double s = water.salinity();
        double t = water.temperatureK();
        double chlorinity = s / 1.80655;
        double sulfate = 0.14 / 96.062 * chlorinity; // Morris and Riley (1966)
        double fluoride = 0.000067 / 18.998 * chlorinity; // Riley (1965)
        double boron = 0.000232 / 10.811 * chlorinity; // Uppström (1974)
        double calcium = 0.02128 / 40.087 * chlorinity; // Riley and Tongudai (1967)
        double ks = bisulfate(s, t);
        double kf = fluoride(s, t);
        double totalPerFree = 1 + sulfate / ks;
        double seawaterPerFree = totalPerFree + fluoride * totalPerFree / kf;
        double totalPerSeawater = totalPerFree / seawaterPerFree;

        double oceanic = CarbonicAcid.weightOfLueker(s, water.temperatureC());
        double pK1 = oceanic * CarbonicAcid.pK1Lueker(s, t)
                + (1 - oceanic) * (CarbonicAcid.pK1Waters(s, t) - Math.log10(totalPerSeawater));
        double pK2 = oceanic * CarbonicAcid.pK2Lueker(s, t)
                + (1 - oceanic) * (CarbonicAcid.pK2Waters(s, t) - Math.log10(totalPerSeawater));
        return new EquilibriumConstants(
                Math.exp(lnK0(s, t)),
                Math.pow(10, -pK1),
                Math.pow(10, -pK2),
                borate(s, t),
                water(s, t),
                ks,
                kf,
                aragonite(s, t),
                boron,
                sulfate,
                fluoride,
                calcium,
                NbsScale.nbsMinusTotal(s, t, totalPerFree, seawaterPerFree));
    }

    /** Total hydrogen ion over free hydrogen ion. */
    public double totalPerFree() {
        return 1 + totalSulfate / ks;
    }

    /** A total-scale pH from one on {@code scale}. */
    public double toTotal(double ph, PhScale scale) {
        return scale == PhScale.TOTAL ? ph : ph - nbsMinusTotal;
    }

    /** An NBS pH from a total-scale one. */
    public double toNbs(double phTotal) {
        return phTotal + nbsMinusTotal;
    }

    /** Weiss (1974). */
    private static double lnK0(double s, double t) {
        return 9345.17 / t
                - 60.2409
                + 23.3585 * Math.log(t / 100)
                + s * (0.023517 - 0.00023656 * t + 0.0047036 * (t / 100) * (t / 100));
    }

    /** Dickson (1990a). */
    private static double borate(double s, double t) {
        double r = Math.sqrt(s);
        double overT = -8966.90 + r * (-2890.53 + r * (-77.942 + r * (1.728 - r * 0.0996)));
        return Math.exp(overT / t
                + (148.0248 + 137.1942 * r + 1.62142 * s)
                + (-24.4344 - 25.085 * r - 0.2474 * s) * Math.log(t)
                + 0.053105 * r * t);
    }

    /** Millero (1995), total scale. */
    private static double water(double s, double t) {
        double lnT = Math.log(t);
        return Math.exp(148.96502
                - 13847.26 / t
                - 23.6521 * lnT
                + (118.67 / t - 5.977 + 1.0495 * lnT) * Math.sqrt(s)
                - 0.01615 * s);
    }

    /** Dickson (1990b), free scale. */
    private static double bisulfate(double s, double t) {
        double i = NbsScale.ionicStrength(s);
        double lnT = Math.log(t);
        return Math.exp(-4276.1 / t
                + 141.328
                - 23.093 * lnT
                + (-13856 / t + 324.57 - 47.986 * lnT) * Math.sqrt(i)
                + (35474 / t - 771.54 + 114.723 * lnT) * i
                - 2698 / t * Math.pow(i, 1.5)
                + 1776 / t * i * i
                + Math.log(1 - 0.001005 * s));
    }

    /** Perez and Fraga (1987), total scale. */
    private static double fluoride(double s, double t) {
        return Math.exp(874 / t - 9.68 + 0.111 * Math.sqrt(s));
    }

    /** Mucci (1983), mol²/kg². */
    private static double aragonite(double s, double t) {
        return Math.pow(
                10,
                -171.945
                        - 0.077993 * t
                        + 2903.293 / t
                        + 71.595 * Math.log10(t)
                        + (-0.068393 + 0.0017276 * t + 88.135 / t) * Math.sqrt(s)
                        - 0.10018 * s
                        + 0.0059415 * Math.pow(s, 1.5));
    }
}

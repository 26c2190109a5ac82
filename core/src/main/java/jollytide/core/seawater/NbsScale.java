package jollytide.core.seawater;

/**
 * The NBS scale that meters and kits read, seen from the total scale.
 *
 * <p>In seawater the apparent activity coefficient of Takahashi et al. (1982) relates the NBS reading to hydrogen on
 * the seawater scale. It was measured from S 20 up and does not run into 1 in fresh water. Below S 20 its free-hydrogen
 * form therefore gives way to the activity coefficient of a dilute solution (Davies 1962), which does.
 */
final class NbsScale {
    private static final double TAKAHASHI_FROM_S = 20;

    private NbsScale() {}

    /** Ionic strength in mol/kg of water: Dickson, Sabine and Christian (2007), ch. 5. */
    static double ionicStrength(double s) {
        return 19.924 * s / (1000 - 1.005 * s);
    }

    static double nbsMinusTotal(double s, double t, double totalPerFree, double seawaterPerFree) {
        double fH = 1.2948 - 0.002036 * t + (0.0004607 - 0.000001475 * t) * s * s;
        double oceanic = CarbonicAcid.ramp(s / TAKAHASHI_FROM_S);
        double logActivity = oceanic * Math.log10(fH * seawaterPerFree) + (1 - oceanic) * logActivityDavies(s, t);
        return Math.log10(totalPerFree) - logActivity;
    }

    /** log10 of the activity coefficient of a singly charged ion; the Debye–Hückel slope is 0.509 at 25 °C. */
    private static double logActivityDavies(double s, double t) {
        double root = Math.sqrt(ionicStrength(s));
        double slope = 0.509 * Math.pow(t / 298.15, 0.55);
        return -slope * (root / (1 + root) - 0.3 * root * root);
    }
}

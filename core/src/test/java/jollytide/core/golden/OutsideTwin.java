package jollytide.core.golden;

/**
 * A tank computed once more, from the published formulas and with nothing of the core: fixed fourth-order Runge–Kutta
 * steps of a minute, pH by bisection. Total scale. What the core and this agree on, neither has by a slip.
 */
final class OutsideTwin {
    /** All that acts on the tank; units in the names. */
    static final class Inputs {
        double litres;
        double salinity;
        double celsius;
        double displayM2;
        double displayK600;
        double sumpM2;
        double sumpK600;
        double fallLPerH;
        double fallEfficiency;
        double canopyLPerH;
        double cabinetLPerH;
        double skimmerLPerH;
        double skimmerKept;
        double outdoorShare;
        double outdoorPpm;
        double[] roomPpm = new double[24];
        double respirationMmol;
        double productionMmol;
        double lightSaturation;
        double fishCount;
        double fishG;
        double fishActivity;
        double useMeqPerLPerDay;
        double usualOversaturation;
        double lightsOnH;
        double lightsOffH;
        double rampMin;
        double mediaKg;
        double freshShare;
    }

    static final int DIC = 0;
    static final int ALKALINITY = 1;
    static final int CALCIUM = 2;
    static final int OXYGEN = 3;
    static final int MEDIA_CO2 = 4;
    static final int MEDIA_WATER = 5;

    private static final double R = 0.082057;
    private final Inputs in;
    private final double kelvin;
    private final double density;
    private final double k0;
    private final double k1;
    private final double k2;
    private final double kb;
    private final double kw;
    private final double boron;
    private final double aragonite;
    private final double seaCalcium;
    private final double vapour;
    private final double oxygenPerKgAtm;

    OutsideTwin(Inputs in) {
        this.in = in;
        double s = in.salinity;
        double c = in.celsius;
        kelvin = c + 273.15;
        double ln = Math.log(kelvin);
        density = density(s, c);
        // Weiss (1974), Lueker et al. (2000), Dickson (1990), Millero (1995), Uppström (1974), Mucci (1983).
        k0 = Math.exp(93.4517 * 100 / kelvin
                - 60.2409
                + 23.3585 * Math.log(kelvin / 100)
                + s * (0.023517 - 0.023656 * kelvin / 100 + 0.0047036 * kelvin * kelvin / 10000));
        k1 = Math.pow(10, -(3633.86 / kelvin - 61.2172 + 9.67770 * ln - 0.011555 * s + 0.0001152 * s * s));
        k2 = Math.pow(10, -(471.78 / kelvin + 25.9290 - 3.16967 * ln - 0.01781 * s + 0.0001122 * s * s));
        double root = Math.sqrt(s);
        kb = Math.exp((-8966.90 - 2890.53 * root - 77.942 * s + 1.728 * s * root - 0.0996 * s * s) / kelvin
                + 148.0248
                + 137.1942 * root
                + 1.62142 * s
                - (24.4344 + 25.085 * root + 0.2474 * s) * ln
                + 0.053105 * root * kelvin);
        kw = Math.exp(148.9652
                - 13847.26 / kelvin
                - 23.6521 * ln
                + (118.67 / kelvin - 5.977 + 1.0495 * ln) * root
                - 0.01615 * s);
        boron = 0.0004157 * s / 35;
        aragonite = Math.pow(
                10,
                -171.945
                        - 0.077993 * kelvin
                        + 2903.293 / kelvin
                        + 71.595 * Math.log10(kelvin)
                        + (-0.068393 + 0.0017276 * kelvin + 88.135 / kelvin) * root
                        - 0.10018 * s
                        + 0.0059415 * s * root);
        seaCalcium = 0.02128 / 40.087 * s / 1.80655;
        // Weiss and Price (1980); Garcia and Gordon (1992).
        vapour = Math.exp(24.4543 - 67.4509 * 100 / kelvin - 4.8489 * Math.log(kelvin / 100) - 0.000544 * s);
        double ts = Math.log((298.15 - c) / kelvin);
        double saturated = Math.exp(5.80871
                        + 3.20291 * ts
                        + 4.17887 * ts * ts
                        + 5.10006 * Math.pow(ts, 3)
                        - 0.0986643 * Math.pow(ts, 4)
                        + 3.80369 * Math.pow(ts, 5)
                        + s * (-0.00701577 - 0.00770028 * ts - 0.0113864 * ts * ts - 0.00951519 * Math.pow(ts, 3))
                        - 2.75915e-7 * s * s)
                * 1e-6;
        oxygenPerKgAtm = saturated / (0.20946 * (1 - vapour));
    }

    /** EOS-80 at one atmosphere, kg/L: Millero and Poisson (1981). */
    private static double density(double s, double t) {
        double pure = 999.842594
                + 6.793952e-2 * t
                - 9.095290e-3 * t * t
                + 1.001685e-4 * t * t * t
                - 1.120083e-6 * Math.pow(t, 4)
                + 6.536336e-9 * Math.pow(t, 5);
        double a = 8.24493e-1 - 4.0899e-3 * t + 7.6438e-5 * t * t - 8.2467e-7 * t * t * t + 5.3875e-9 * Math.pow(t, 4);
        double b = -5.72466e-3 + 1.0227e-4 * t - 1.6546e-6 * t * t;
        return (pure + a * s + b * s * Math.sqrt(s) + 4.8314e-4 * s * s) / 1000;
    }

    double ph(double alkalinity, double dic) {
        double low = 5;
        double high = 11;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            double h = Math.pow(10, -middle);
            double d = h * h + k1 * h + k1 * k2;
            double made = dic * (k1 * h + 2 * k1 * k2) / d + boron * kb / (kb + h) + kw / h - h;
            if (made < alkalinity) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    double oxygenMgPerL(double molPerKg) {
        return molPerKg * density * 31_998.8;
    }

    private double schmidt(boolean co2) {
        double t = in.celsius;
        // Wanninkhof (2014), seawater.
        return co2
                ? 2116.8 - 136.25 * t + 4.7353 * t * t - 0.092307 * t * t * t + 0.0007555 * Math.pow(t, 4)
                : 1920.4 - 135.6 * t + 5.2122 * t * t - 0.10939 * t * t * t + 0.00093777 * Math.pow(t, 4);
    }

    private double perLAtm(boolean co2) {
        return (co2 ? k0 : oxygenPerKgAtm) * density;
    }

    private double surface(double m2, double k600, boolean co2) {
        return k600 / 100 * Math.pow(schmidt(co2) / 600, -0.5) * m2 * 1000 * perLAtm(co2);
    }

    /** Kays and London, parallel flow: the core's assumed contact, residence and share of water. */
    private double skimmer(boolean co2) {
        double air = in.skimmerLPerH / (R * kelvin);
        double water = 1.5 * in.skimmerLPerH * perLAtm(co2) * (co2 ? 1 + 0.05 * 20 : 1);
        double least = Math.min(air, water);
        double ratio = least / Math.max(air, water);
        return Math.min(0.98 * air, least * (1 - Math.exp(-2 * (1 + ratio))) / (1 + ratio));
    }

    private double roomPpm(double hour) {
        int h = (int) hour % 24;
        return in.roomPpm[h] + (hour - Math.floor(hour)) * (in.roomPpm[(h + 1) % 24] - in.roomPpm[h]);
    }

    private double light(double hour) {
        double h = hour % 24;
        if (h < in.lightsOnH || h >= in.lightsOffH) {
            return 0;
        }
        return Math.min(1, Math.min(h - in.lightsOnH, in.lightsOffH - h) * 60 / in.rampMin);
    }

    private double mediaEfficiency(double[] y) {
        double used = y[MEDIA_CO2] / (in.mediaKg * 150 / 24.2);
        double hydroxide = used <= 0.7 ? 1 : Math.max(0, (1 - used) / 0.3);
        double w = y[MEDIA_WATER] / in.mediaKg;
        double water = w < 0.08 ? Math.max(0, w / 0.08) : w > 0.25 ? Math.max(0, (0.33 - w) / 0.08) : 1;
        return 0.98 * Math.min(hydroxide, water);
    }

    private static double vapourGPerM3(double celsius) {
        return 216.7 * 6.112 * Math.exp(17.62 * celsius / (243.12 + celsius)) / (celsius + 273.15);
    }

    double[] rates(double hour, double[] y) {
        double[] dy = new double[6];
        double kg = in.litres * density;
        double ph = ph(y[ALKALINITY], y[DIC]);
        double h = Math.pow(10, -ph);
        double d = h * h + k1 * h + k1 * k2;
        double omega = y[CALCIUM] * y[DIC] * k1 * k2 / d / aragonite;
        double dry = 1 - vapour;
        double pass = in.mediaKg > 0 ? 1 - mediaEfficiency(y) : 1;
        double fresh = in.mediaKg > 0 ? Math.max(0.03, in.freshShare) : 1;
        double air = in.skimmerLPerH / (R * kelvin);
        for (int g = 0; g < 2; g++) {
            boolean co2 = g == 0;
            double water = co2 ? y[DIC] * h * h / d / k0 : y[OXYGEN] / oxygenPerKgAtm;
            double room = (co2 ? roomPpm(hour % 24) * 1e-6 : 0.20946) * dry;
            double line = (co2 ? in.outdoorPpm * 1e-6 : 0.20946) * dry;
            double through = co2 ? pass : 1;
            double display = surface(in.displayM2, in.displayK600, co2);
            double sump = surface(in.sumpM2, in.sumpK600, co2);
            double fall = in.fallLPerH * perLAtm(co2) * in.fallEfficiency;
            double box = in.canopyLPerH / (R * kelvin);
            double underCanopy = (box * room + display * water) / (box + display);
            double cabinetBox = in.cabinetLPerH / (R * kelvin);
            double e = skimmer(co2) / air;
            // The skimmer's air goes round until the cabinet has settled: iterated, not solved.
            double cabinet = room;
            double enters = 0;
            for (int i = 0; i < 500; i++) {
                double mixed = in.outdoorShare * line + (1 - in.outdoorShare) * cabinet;
                enters = mixed;
                for (int k = 0; k < 200; k++) {
                    double exhaust = enters + e * (water - enters);
                    enters = through * (fresh * mixed + (1 - fresh) * exhaust);
                }
                double exhaust = enters + e * (water - enters);
                double blown = fresh * air * in.skimmerKept;
                double open = sump + fall;
                double next = (cabinetBox * room + open * water + blown * exhaust) / (cabinetBox + open + blown);
                if (Math.abs(next - cabinet) < 1e-13) {
                    break;
                }
                cabinet = next;
            }
            double flux = display * (underCanopy - water)
                    + (sump + fall) * (cabinet - water)
                    + skimmer(co2) * in.skimmerKept * (enters - water);
            dy[co2 ? DIC : OXYGEN] += flux / kg;
            if (co2 && in.mediaKg > 0) {
                double exhaust = enters + e * (water - enters);
                double before =
                        fresh * (in.outdoorShare * line + (1 - in.outdoorShare) * cabinet) + (1 - fresh) * exhaust;
                double taken = air * in.skimmerKept * before * mediaEfficiency(y);
                double carried = fresh * 8.6 + (1 - fresh) * 0.98 * vapourGPerM3(in.celsius);
                double leaves = Math.min(1, y[MEDIA_WATER] / in.mediaKg / 0.2) * vapourGPerM3(in.celsius - 3);
                dy[MEDIA_CO2] = taken;
                dy[MEDIA_WATER] = in.skimmerLPerH * in.skimmerKept / 1e6 * (carried - leaves) + taken * 0.018015;
            }
        }
        double warm = Math.pow(2, (in.celsius - 25) / 10);
        double left = Math.min(1, Math.max(0, oxygenMgPerL(y[OXYGEN]) / 0.5));
        double reef = warm * in.respirationMmol * in.litres / 1000 * left;
        double lit = warm
                * in.productionMmol
                * in.litres
                / 1000
                * Math.tanh(light(hour) / in.lightSaturation)
                / Math.tanh(1 / in.lightSaturation);
        double fish = in.fishCount
                * Math.exp(15.7 - 5020 / kelvin)
                * Math.pow(in.fishG / 50, 0.79)
                / 1000
                * in.fishActivity
                * left;
        dy[DIC] += (reef + fish - lit) / kg;
        dy[OXYGEN] -= (reef + fish - lit) / kg;
        double use = in.useMeqPerLPerDay / 24 / 1000 / density;
        double built = use * (in.usualOversaturation >= 0.3 ? Math.max(0, omega - 1) / in.usualOversaturation : 1);
        // Soda ash brings half a mole of carbon with each equivalent; calcium is dosed as it is used.
        dy[ALKALINITY] += use - built;
        dy[DIC] += (use - built) / 2;
        dy[CALCIUM] += (use - built) / 2;
        return dy;
    }

    double seaCalcium() {
        return seaCalcium;
    }

    /** A step of so many hours. */
    double[] step(double hour, double[] y, double dt) {
        double[] a = rates(hour, y);
        double[] b = rates(hour + dt / 2, plus(y, a, dt / 2));
        double[] c = rates(hour + dt / 2, plus(y, b, dt / 2));
        double[] e = rates(hour + dt, plus(y, c, dt));
        double[] next = y.clone();
        for (int i = 0; i < y.length; i++) {
            next[i] += dt / 6 * (a[i] + 2 * b[i] + 2 * c[i] + e[i]);
        }
        return next;
    }

    private static double[] plus(double[] y, double[] rates, double dt) {
        double[] next = y.clone();
        for (int i = 0; i < y.length; i++) {
            next[i] += dt * rates[i];
        }
        return next;
    }
}

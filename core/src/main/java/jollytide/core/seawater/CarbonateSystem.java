package jollytide.core.seawater;

import static jollytide.core.units.Quantities.within;

import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * The carbonate system of one parcel of water: any two of pH, alkalinity, CO2 and DIC give the rest.
 *
 * <p>Alkalinity counts bicarbonate, carbonate, borate, hydroxide, hydrogen ion, bisulfate and hydrogen fluoride
 * (Dickson 1981). Phosphate, silicate and organic bases are left out: in a reef tank they stay below 0.01 meq/L.
 *
 * <p>Concentrations in mol/kg, partial pressure in µatm. Instances are immutable and safe to share.
 */
public final class CarbonateSystem {
    public static final double MIN_PH = 2;
    public static final double MAX_PH = 13;
    /** 100 dKH: far beyond any tank, below where the activity coefficients lose their meaning. */
    public static final double MAX_ALKALINITY = 0.036;

    private static final double MAX_DIC = 0.1;
    private static final double MAX_UATM = 1e6;
    /** The last of Newton's steps in ln[H] is no longer than this; what is still wrong then is of its square's order. */
    private static final double LN_H_TOLERANCE = 1e-7;

    private static final double LN_10 = Math.log(10);
    /** Where the search for a root starts when nothing is known: pH 8. */
    public static final double ANY_HYDROGEN = Math.exp(-18.5);

    private static final int MAX_ITERATIONS = 100;

    private final Seawater water;
    private final EquilibriumConstants constants;
    private final double calcium;
    private final double totalPerFree;

    private CarbonateSystem(Seawater water, double calcium) {
        this.water = water;
        this.constants = EquilibriumConstants.of(water);
        this.calcium =
                Double.isNaN(calcium) ? constants.typicalCalcium() : within("calcium", calcium, 0, 0.1, "mol/kg");
        this.totalPerFree = constants.totalPerFree();
    }

    /** With calcium in the proportion of sea salt (Riley and Tongudai 1967). */
    public static CarbonateSystem of(Seawater water) {
        return new CarbonateSystem(water, Double.NaN);
    }

    /** With measured calcium in mol/kg, or that of sea salt when null. */
    public static CarbonateSystem of(Seawater water, @Nullable Double calciumMolPerKg) {
        return new CarbonateSystem(water, calciumMolPerKg == null ? Double.NaN : calciumMolPerKg);
    }

    public Seawater water() {
        return water;
    }

    /** Calcium, mol/kg. */
    public double calcium() {
        return calcium;
    }

    public EquilibriumConstants constants() {
        return constants;
    }

    /**
     * What a pH and an alkalinity say about the CO2 in the water.
     *
     * @throws InputException when boron and hydroxide alone hold more alkalinity at this pH than was given; the message
     *     names the smallest possible alkalinity
     */
    public CarbonateState fromPhAndAlkalinity(double phTotal, double alkalinity) {
        double h = hydrogen(phTotal);
        checkAlkalinity(alkalinity);
        double carbonateAlkalinity = alkalinity - otherAlkalinity(h);
        if (carbonateAlkalinity <= 0) {
            throw new InputException(
                    "alkalinity",
                    alkalinity,
                    "more than " + otherAlkalinity(h) + " mol/kg",
                    "No solution: at this pH, boron and hydroxide alone exceed the alkalinity entered.");
        }
        double k1 = constants.k1();
        double k2 = constants.k2();
        double dic = carbonateAlkalinity * (h * h + k1 * h + k1 * k2) / (k1 * h + 2 * k1 * k2);
        return state(h, alkalinity, dic);
    }

    /** The alkalinity that this water has at a pH with no CO2, bicarbonate or carbonate in it: the least possible. */
    public double smallestAlkalinity(double phTotal) {
        return otherAlkalinity(hydrogen(phTotal));
    }

    public CarbonateState fromAlkalinityAndDic(double alkalinity, double dic) {
        return state(Math.pow(10, -phTotal(alkalinity, dic, Double.NaN)), alkalinity, dic);
    }

    /** The water's state in balance with air whose CO2 exerts {@code uatm} at the surface. */
    public CarbonateState fromAlkalinityAndCo2(double alkalinity, double uatm) {
        checkAlkalinity(alkalinity);
        double co2 = co2FromUatm(uatm);
        double h = solve(alkalinity, co2, true, ANY_HYDROGEN);
        double k1 = constants.k1();
        double dic = co2 * (1 + k1 / h + k1 * constants.k2() / (h * h));
        return state(h, alkalinity, dic);
    }

    public CarbonateState fromPhAndDic(double phTotal, double dic) {
        double h = hydrogen(phTotal);
        checkDic(dic);
        return state(h, carbonateAlkalinity(h, dic) + otherAlkalinity(h), dic);
    }

    public CarbonateState fromPhAndCo2(double phTotal, double uatm) {
        double h = hydrogen(phTotal);
        double k1 = constants.k1();
        return fromPhAndDic(phTotal, co2FromUatm(uatm) * (1 + k1 / h + k1 * constants.k2() / (h * h)));
    }

    /**
     * The water's state from its DIC and the partial pressure of its CO2.
     *
     * @throws InputException when the DIC given is less than the dissolved CO2 alone
     */
    public CarbonateState fromDicAndCo2(double dic, double uatm) {
        checkDic(dic);
        double co2 = co2FromUatm(uatm);
        if (dic <= co2) {
            throw new InputException(
                    "dic", dic, "more than " + co2 + " mol/kg", "No solution: CO2 alone exceeds the DIC entered.");
        }
        double k1 = constants.k1();
        double k2 = constants.k2();
        double b = co2 * k1;
        double h = (b + Math.sqrt(b * b + 4 * (dic - co2) * co2 * k1 * k2)) / (2 * (dic - co2));
        return fromPhAndDic(-Math.log10(h), dic);
    }

    /**
     * Total-scale pH of water with this alkalinity and DIC.
     *
     * @param nearPh a root close by, such as the last one found; NaN when none is known
     */
    public double phTotal(double alkalinity, double dic, double nearPh) {
        double start = Double.isNaN(nearPh) ? ANY_HYDROGEN : Math.exp(-nearPh * LN_10);
        return -Math.log10(hydrogen(alkalinity, dic, start));
    }

    /**
     * The same as total hydrogen ion, mol/kg, for a run that asks for it many thousand times.
     *
     * @param near a root close by; {@link #ANY_HYDROGEN} when none is known
     */
    public double hydrogen(double alkalinity, double dic, double near) {
        checkAlkalinity(alkalinity);
        checkDic(dic);
        return solve(alkalinity, dic, false, near);
    }

    /** Pressure of CO2 in µatm at this hydrogen ion and DIC. */
    public double uatm(double hydrogen, double dic) {
        return dic * hydrogen * hydrogen / carbonTerms(hydrogen) / constants.k0() * 1e6;
    }

    /** Saturation of aragonite at this hydrogen ion, DIC and calcium, mol/kg. */
    public double omegaAragonite(double hydrogen, double dic, double calciumMolPerKg) {
        double carbonate = dic * constants.k1() * constants.k2() / carbonTerms(hydrogen);
        return calciumMolPerKg * carbonate / constants.kspAragonite();
    }

    private double carbonTerms(double h) {
        return h * h + constants.k1() * h + constants.k1() * constants.k2();
    }

    /**
     * Newton's method on ln[H], kept inside a bracket that is certain to hold the only root (Munhoven 2013,
     * Geosci. Model Dev. 6, 1367, SolveSAPHE); a step that leaves it is replaced by halving the bracket.
     *
     * @param carbon DIC, or dissolved CO2 when {@code open} to the air
     */
    private double solve(double alkalinity, double carbon, boolean open, double start) {
        double low = open ? Math.exp(-MAX_PH * LN_10) : lowestHydrogen(alkalinity);
        double high = open ? 1 : highestHydrogen(alkalinity, carbon);
        double h = start > low && start < high ? start : Math.sqrt(low * high);
        double k1 = constants.k1();
        double k1k2 = k1 * constants.k2();
        for (int i = 0; i < MAX_ITERATIONS; i++) {
            double free = h / totalPerFree;
            double borateShare = constants.kb() / (h + constants.kb());
            double sulfateShare = free / (free + constants.ks());
            double fluorideShare = h / (h + constants.kf());
            double borate = constants.totalBoron() * borateShare;
            double hydroxide = constants.kw() / h;
            double bisulfate = constants.totalSulfate() * sulfateShare;
            double fluoride = constants.totalFluoride() * fluorideShare;
            double value = borate + hydroxide - free - bisulfate - fluoride - alkalinity;
            double slope = -borate * (1 - borateShare)
                    - hydroxide
                    - free
                    - bisulfate * (1 - sulfateShare)
                    - fluoride * (1 - fluorideShare);
            if (open) {
                value += carbon * (k1 + 2 * k1k2 / h) / h;
                slope -= carbon * (k1 + 4 * k1k2 / h) / h;
            } else {
                double d = 1 / (h * h + k1 * h + k1k2);
                value += carbon * (k1 * h + 2 * k1k2) * d;
                slope -= carbon * k1 * h * (h * h + 4 * constants.k2() * h + k1k2) * d * d;
            }
            if (value > 0) {
                low = h;
            } else {
                high = h;
            }
            double step = value / slope;
            double next = h * Math.exp(-step);
            if (!(next > low && next < high)) {
                if (Math.abs(step) < LN_H_TOLERANCE || high - low <= Math.ulp(high)) {
                    return h;
                }
                next = Math.sqrt(low * high);
            } else if (Math.abs(step) < LN_H_TOLERANCE) {
                return next;
            }
            h = next;
        }
        return h;
    }

    /** Below this, hydroxide alone would exceed the alkalinity even with every acid and no base. */
    private double lowestHydrogen(double alkalinity) {
        return waterAlone(alkalinity + constants.totalSulfate() + constants.totalFluoride());
    }

    /** Above this, the alkalinity could not be met even with every base fully charged. */
    private double highestHydrogen(double alkalinity, double dic) {
        return waterAlone(alkalinity - 2 * dic - constants.totalBoron());
    }

    /** [H] of water that has hydroxide and free hydrogen only and the given alkalinity. */
    private double waterAlone(double alkalinity) {
        double root = Math.sqrt(alkalinity * alkalinity + 4 * constants.kw() / totalPerFree);
        return alkalinity > 0 ? 2 * constants.kw() / (alkalinity + root) : totalPerFree * (root - alkalinity) / 2;
    }

    private double otherAlkalinity(double h) {
        double free = h / totalPerFree;
        return constants.totalBoron() * constants.kb() / (h + constants.kb())
                + constants.kw() / h
                - free
                - constants.totalSulfate() * free / (free + constants.ks())
                - constants.totalFluoride() * h / (h + constants.kf());
    }

    private double carbonateAlkalinity(double h, double dic) {
        double k1 = constants.k1();
        double k1k2 = k1 * constants.k2();
        return dic * (k1 * h + 2 * k1k2) / (h * h + k1 * h + k1k2);
    }

    private CarbonateState state(double h, double alkalinity, double dic) {
        double d = carbonTerms(h);
        double co2 = dic * h * h / d;
        double phTotal = -Math.log10(h);
        return new CarbonateState(
                water,
                phTotal,
                constants.toNbs(phTotal),
                alkalinity,
                dic,
                co2,
                dic * constants.k1() * h / d,
                dic * constants.k1() * constants.k2() / d,
                uatm(h, dic),
                omegaAragonite(h, dic, calcium));
    }

    private double co2FromUatm(double uatm) {
        return constants.k0() * within("co2Uatm", uatm, 0, MAX_UATM, "µatm") * 1e-6;
    }

    private static double hydrogen(double phTotal) {
        return Math.pow(10, -within("ph", phTotal, MIN_PH, MAX_PH, "on the total scale"));
    }

    private static void checkAlkalinity(double alkalinity) {
        within("alkalinity", alkalinity, 0, MAX_ALKALINITY, "mol/kg");
    }

    private static void checkDic(double dic) {
        within("dic", dic, 0, MAX_DIC, "mol/kg");
    }
}

package jollytide.core.doses;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoublePredicate;
import jollytide.core.dosing.AlkalinityDose;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;

/**
 * What must hold of a line that doses a tank.
 *
 * @param litres net volume
 * @param water the tank's, at the highest pH of an ordinary day
 * @param evaporationLPerDay of the tank
 * @param usePerDay alkalinity that is used, meq/L a day; 0 where nobody knows
 * @param others what the tank's other lines bring meanwhile
 */
public record LineRules(
        double litres,
        CarbonateSystem system,
        CarbonateState water,
        double evaporationLPerDay,
        double usePerDay,
        Beside others) {
    /** Beyond what is used. Common practice. */
    private static final double MOST_CLIMB_DKH = 1;
    /** What animals survive once, when all of a vessel comes at once. From memory. */
    private static final double MOST_AT_ONCE_PH = 8.7;

    private static final double MOST_AT_ONCE_DKH = 1.5;
    private static final int STEPS = 40;

    /**
     * What lines bring a day at the most.
     *
     * @param limewaterMl of water that comes with limewater
     * @param meq of alkalinity
     */
    public record Beside(double limewaterMl, double meq) {
        public static final Beside NOTHING = new Beside(0, 0);

        /** With one more line of so much a day. */
        public Beside and(Solution solution, double mlPerDay) {
            return new Beside(
                    limewaterMl + (isLimewater(solution) ? mlPerDay : 0), meq + solution.meqPerMl() * mlPerDay);
        }
    }

    /** All rules that stop a plan; none when it may be. */
    public List<Stop> stops(Solution solution, double vesselMl, double mlPerDay) {
        List<Stop> stops = new ArrayList<>();
        Beside all = others.and(solution, mlPerDay);
        double evaporates = evaporationLPerDay * 1000;
        if (isLimewater(solution) && all.limewaterMl() > evaporates) {
            stops.add(new Stop(
                    Stop.Rule.EVAPORATION,
                    text(
                            "%.0f mL of limewater a day%s is more than evaporates here, about %.0f mL: the water would lose its salt.",
                            all.limewaterMl(), others.limewaterMl() > 0 ? " from all lines" : "", evaporates),
                    Math.max(0, evaporates - others.limewaterMl())));
        }
        double mostPerDay = (usePerDay + AlkalinityUnit.DKH.toMeqPerL(MOST_CLIMB_DKH)) * litres;
        if (solution.meqPerMl() > 0 && all.meq() > mostPerDay) {
            stops.add(new Stop(
                    Stop.Rule.CLIMB,
                    text(
                            "%s %.1f dKH a day, more than 1 dKH beyond what is used: alkalinity would climb too fast.",
                            others.meq() > 0 ? "With the other lines it brings" : "It brings",
                            AlkalinityUnit.DKH.fromMeqPerL(all.meq() / litres)),
                    Math.max(0, mostPerDay - others.meq()) / solution.meqPerMl()));
        }
        if (!survives(solution, vesselMl)) {
            double most = mostVesselMl(solution, vesselMl);
            stops.add(new Stop(
                    Stop.Rule.AT_ONCE,
                    text(
                            "All %.1f L of it at once would bring %.1f dKH and pH %.1f: a vessel of at most %.1f L is survivable.",
                            vesselMl / 1000,
                            AlkalinityUnit.DKH.fromMeqPerL(meqPerL(solution, vesselMl)),
                            Math.max(water.phNbs(), atOnce(solution, vesselMl).phNbs()),
                            most / 1000),
                    most));
        }
        return stops;
    }

    private static boolean isLimewater(Solution solution) {
        return solution.solute() == Solution.Solute.LIMEWATER;
    }

    private double meqPerL(Solution solution, double ml) {
        return solution.meqPerMl() * ml / litres;
    }

    private boolean survives(Solution solution, double ml) {
        return AlkalinityUnit.DKH.fromMeqPerL(meqPerL(solution, ml)) <= MOST_AT_ONCE_DKH
                && atOnce(solution, ml).phNbs() <= Math.max(MOST_AT_ONCE_PH, water.phNbs());
    }

    /** The water right after so much of it was mixed in. */
    private CarbonateState atOnce(Solution solution, double ml) {
        AlkalinitySource source = source(solution);
        return source == null
                ? water
                : new AlkalinityDose(source, Math.min(MOST_COMPUTED, meqPerL(solution, ml)), litres)
                        .atOnce(system, water);
    }

    /** What a sum of this kind is good for, meq/L. */
    private static final double MOST_COMPUTED = 5;

    private static @Nullable AlkalinitySource source(Solution solution) {
        return switch (solution.solute()) {
            case LIMEWATER -> AlkalinitySource.LIMEWATER;
            case SODA_ASH -> AlkalinitySource.SODA_ASH;
            case BICARBONATE -> AlkalinitySource.BICARBONATE;
            case SODIUM_HYDROXIDE -> AlkalinitySource.SODIUM_HYDROXIDE;
            case POTASSIUM_HYDROXIDE -> AlkalinitySource.POTASSIUM_HYDROXIDE;
            case CALCIUM_CHLORIDE -> null;
        };
    }

    private double mostVesselMl(Solution solution, double vesselMl) {
        return largest(ml -> survives(solution, ml), vesselMl);
    }

    private static double largest(DoublePredicate holds, double most) {
        double low = 0;
        double high = most;
        for (int i = 0; i < STEPS; i++) {
            double middle = (low + high) / 2;
            if (holds.test(middle)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private static String text(String format, Object... args) {
        return String.format(Locale.ROOT, format, args);
    }
}

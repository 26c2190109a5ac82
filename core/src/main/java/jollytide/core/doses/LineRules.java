package jollytide.core.doses;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoublePredicate;
import java.util.stream.Stream;
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

    static final String NO_REMEDY =
            "Potassium chloride brings potassium and chloride, no alkalinity: it moves no pH. Where a"
                    + " potassium salt lifts pH, its hydroxide or carbonate does that.";
    /** What may always be added in a day, dKH. */
    private static final double LEAST_CLIMB_DKH = 0.1;

    private static final int MOST_PORTIONS = 24;
    private static final double ROUNDING = 1e-9;

    /** Once mixed. Common practice. */
    private static final double MOST_SINGLE_PH = 0.1;
    /** Between alkalinity and calcium. Common practice. */
    public static final int LEAST_APART_MIN = 15;

    /**
     * What is planned of a line.
     *
     * @param times null for one that drips all day
     * @param place where its hose ends; empty where nobody said
     */
    public record Planned(
            String name,
            Solution solution,
            double mlPerDay,
            @Nullable DoseTimes times,
            String place) {
        /** Whether what they bring falls out where it meets. */
        private boolean fallsOutWith(Planned other) {
            return (solution.basic() && other.solution.calciumMgPerMl() > 0)
                    || (other.solution.basic() && solution.calciumMgPerMl() > 0);
        }

        private boolean atOnceWith(Planned other) {
            return times == null || other.times == null || times.apartMinutes(other.times) < LEAST_APART_MIN;
        }

        private boolean whereItEnds(Planned other) {
            return !place.isBlank() && place.strip().equalsIgnoreCase(other.place.strip());
        }
    }

    /**
     * What lines bring a day at the most.
     *
     * @param limewaterMl of water that comes with limewater
     * @param meq of alkalinity
     */
    public record Beside(List<Planned> lines, double limewaterMl, double meq) {
        public static final Beside NOTHING = new Beside(List.of(), 0, 0);

        public Beside {
            lines = List.copyOf(lines);
        }

        /** With one more line; one of which nothing is dosed is none. */
        public Beside and(Planned line) {
            return line.mlPerDay <= 0
                    ? this
                    : new Beside(
                            Stream.concat(lines.stream(), Stream.of(line)).toList(),
                            limewaterMl + (isLimewater(line.solution) ? line.mlPerDay : 0),
                            meq + line.solution.meqPerMl() * line.mlPerDay);
        }
    }

    /** The same beside other lines. */
    public LineRules with(Beside lines) {
        return new LineRules(litres, system, water, evaporationLPerDay, usePerDay, lines);
    }

    /** All rules that stop a plan; none when it may be. */
    public List<Stop> stops(Planned line, double vesselMl) {
        List<Stop> stops = new ArrayList<>();
        Solution solution = line.solution();
        Beside all = others.and(line);
        if (solution.solute() == Solution.Solute.POTASSIUM_CHLORIDE) {
            stops.add(new Stop(Stop.Rule.NO_REMEDY, NO_REMEDY, 0));
        }
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
                            Math.max(
                                    water.phNbs(),
                                    atOnce(solution.solute(), meqPerL(solution, vesselMl))
                                            .phNbs()),
                            most / 1000),
                    most));
        }
        single(line, stops);
        others.lines().stream()
                .filter(other -> line.mlPerDay() > 0 && line.fallsOutWith(other))
                .forEach(other -> apart(line, other, stops));
        return stops;
    }

    /** The most a day of a line, up to what is wanted, that no rule stops; 0 where any is stopped. */
    double most(Planned line, double vesselMl, double wanted) {
        DoublePredicate may =
                ml -> stops(new Planned(line.name(), line.solution(), ml, line.times(), line.place()), vesselMl)
                        .isEmpty();
        return may.test(wanted) ? wanted : largest(may, wanted);
    }

    /**
     * What an addition by hand would do, and how it is parted where it is too much at once.
     *
     * @param phBefore at the highest of an ordinary day, NBS; {@code phMixed} once it is mixed in, before the air answers
     * @param because what speaks against all of it at once; empty where nothing does
     * @param days over which it is spread
     * @param portionsPerDay into which a day's part is parted
     */
    public record Parted(
            double meqPerL,
            double calciumMgPerL,
            double phBefore,
            double phMixed,
            List<String> because,
            int days,
            int portionsPerDay) {}

    /** Beside what the lines bring meanwhile. */
    public Parted parted(SingleDose.Addition addition) {
        List<String> because = new ArrayList<>();
        double meq = addition.meqPerL();
        double mayClimb = Math.max(
                LEAST_CLIMB_DKH, MOST_CLIMB_DKH + AlkalinityUnit.DKH.fromMeqPerL(usePerDay - others.meq() / litres));
        double dkh = AlkalinityUnit.DKH.fromMeqPerL(meq);
        int days = Math.max(1, (int) Math.ceil(dkh / mayClimb - ROUNDING));
        if (days > 1) {
            because.add(
                    text("It brings %.1f dKH: beside what is used and dosed, at most %.1f dKH a day.", dkh, mayClimb));
        }
        double mixed = rise(addition.what(), meq);
        double daily = meq / days;
        int portions = 1;
        while (portions < MOST_PORTIONS && rise(addition.what(), daily / portions) > MOST_SINGLE_PH) {
            portions++;
        }
        if (mixed > MOST_SINGLE_PH) {
            because.add(text("All of it would lift the tank by pH %.2f once mixed, more than 0.1.", mixed));
        }
        return new Parted(meq, addition.calciumMgPerL(), water.phNbs(), water.phNbs() + mixed, because, days, portions);
    }

    private static void apart(Planned line, Planned other, List<Stop> stops) {
        if (line.atOnceWith(other)) {
            stops.add(new Stop(
                    Stop.Rule.APART,
                    text(
                            "It would meet “%s”, and calcium carbonate falls out where they meet: give both their"
                                    + " times, at least %d minutes and a place apart.",
                            other.name(), LEAST_APART_MIN),
                    0));
        }
        if (line.whereItEnds(other)) {
            stops.add(new Stop(
                    Stop.Rule.SAME_PLACE,
                    text(
                            "“%s” ends in the same place, where calcium carbonate would fall out: lead one of them"
                                    + " elsewhere.",
                            other.name()),
                    0));
        }
    }

    private void single(Planned line, List<Stop> stops) {
        DoseTimes times = line.times();
        if (times == null || rise(line.solution(), line.mlPerDay() / times.perDay()) <= MOST_SINGLE_PH) {
            return;
        }
        double most = largest(ml -> rise(line.solution(), ml) <= MOST_SINGLE_PH, line.mlPerDay() / times.perDay());
        stops.add(new Stop(
                Stop.Rule.SINGLE_DOSE,
                text(
                        "One dose of %.0f mL would lift the tank by pH %.2f once mixed, more than 0.1: at least %d doses a"
                                + " day.",
                        line.mlPerDay() / times.perDay(), rise(line.solution(), line.mlPerDay() / times.perDay()), (int)
                                Math.ceil(line.mlPerDay() / most)),
                most * times.perDay()));
    }

    private double rise(Solution solution, double ml) {
        return rise(solution.solute(), meqPerL(solution, ml));
    }

    private double rise(Solution.Solute what, double meqPerL) {
        return atOnce(what, meqPerL).phNbs() - water.phNbs();
    }

    private static boolean isLimewater(Solution solution) {
        return solution.solute() == Solution.Solute.LIMEWATER;
    }

    private double meqPerL(Solution solution, double ml) {
        return solution.meqPerMl() * ml / litres;
    }

    private boolean survives(Solution solution, double ml) {
        return AlkalinityUnit.DKH.fromMeqPerL(meqPerL(solution, ml)) <= MOST_AT_ONCE_DKH
                && atOnce(solution.solute(), meqPerL(solution, ml)).phNbs() <= Math.max(MOST_AT_ONCE_PH, water.phNbs());
    }

    /** The water right after so much of it was mixed in. */
    private CarbonateState atOnce(Solution.Solute what, double meqPerL) {
        AlkalinitySource source = what.source();
        return source == null
                ? water
                : new AlkalinityDose(source, Math.min(MOST_COMPUTED, meqPerL), litres).atOnce(system, water);
    }

    /** What a sum of this kind is good for, meq/L. */
    private static final double MOST_COMPUTED = 5;

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

package jollytide.core.dosingline;

import static jollytide.core.units.Quantities.within;

import java.util.ArrayList;
import java.util.Comparator;
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
 * @param salts what the water holds of what is dosed along with alkalinity or beside it
 */
public record LineRules(
        double litres,
        CarbonateSystem system,
        CarbonateState water,
        double evaporationLPerDay,
        double usePerDay,
        Beside others,
        Salts salts) {
    /** Of a tank of whose calcium and potassium nobody knows more than that they are the sea's. */
    public LineRules(
            double litres,
            CarbonateSystem system,
            CarbonateState water,
            double evaporationLPerDay,
            double usePerDay,
            Beside others) {
        this(litres, system, water, evaporationLPerDay, usePerDay, others, Salts.USUAL);
    }

    /**
     * Calcium, potassium and magnesium of the water, and how they leave it.
     *
     * @param calciumMgPerL by the newest test, else as of the sea
     * @param potassiumMgPerL by the newest test, else what lines have left behind
     * @param magnesiumMgPerL likewise
     * @param calciumUsePerDay mg/L, as tests show it; 0 where they say nothing: then it goes with alkalinity
     * @param changedPerDay share of the water that is changed a day, 0 to 1
     */
    public record Salts(
            double calciumMgPerL,
            double potassiumMgPerL,
            double magnesiumMgPerL,
            double calciumUsePerDay,
            double changedPerDay) {
        /** Seawater of S 35 holds about 412 mg/L of calcium; keepers hold a little more. Common practice. */
        public static final double USUAL_CALCIUM = 420;

        public static final Salts USUAL = new Salts(USUAL_CALCIUM, Creep.USUAL_POTASSIUM, Creep.USUAL_MAGNESIUM, 0, 0);

        public Salts {
            within("calciumMgPerL", calciumMgPerL, 0, 3000, "mg/L");
            within("potassiumMgPerL", potassiumMgPerL, 0, 5000, "mg/L");
            within("magnesiumMgPerL", magnesiumMgPerL, 0, 10_000, "mg/L");
            within("calciumUsePerDay", calciumUsePerDay, 0, 500, "mg/(L·day)");
            within("changedPerDay", changedPerDay, 0, 1, "");
        }
    }

    /** Where calcium begins to fall out and animals suffer; a plan may not pass it within so many days. From memory. */
    static final double MOST_CALCIUM = 480;
    /** Likewise; animals take up so little of it that none is counted on. From memory. */
    static final double MOST_MAGNESIUM = 1500;

    private static final double LOOKED_AHEAD_DAYS = 30;
    /** Growth takes so much calcium with each meq of alkalinity: CaCO3, by stoichiometry. */
    static final double CALCIUM_MG_PER_MEQ = 20.04;

    /** From here on nothing that lifts pH at once is dosed. Common practice. */
    static final double HIGHEST_PH = 8.5;

    /** Beyond what is used. Common practice. */
    private static final double MOST_CLIMB_DKH = 1;
    /** What animals survive once, when a day's doses of all dosing lines come at once at the daily high. From memory. */
    private static final double MOST_AT_ONCE_PH = 8.8;

    private static final double MOST_AT_ONCE_DKH = 3;
    private static final int STEPS = 40;

    static final String NO_REMEDY =
            "Potassium chloride adds potassium and chloride, no alkalinity, and does not move pH. Only "
                    + "potassium hydroxide or carbonate raises pH.";
    /** What may always be added in a day, dKH. */
    private static final double LEAST_CLIMB_DKH = 0.1;

    /** Beyond this in a day a caution stands, mg/L. From memory. */
    private static final double MUCH_CALCIUM = 20;

    private static final double MUCH_POTASSIUM = 10;
    private static final double MUCH_MAGNESIUM = 50;
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
        /** Another amount of the same. */
        Planned of(double ml) {
            return new Planned(name, solution, ml, times, place);
        }

        /** Whether what they bring falls out where it meets. */
        private boolean fallsOutWith(Planned other) {
            return (solution.basic() && other.solution.fallsOut()) || (other.solution.basic() && solution.fallsOut());
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
     * @param waterMl that comes along: every solution is mostly water
     * @param meq of alkalinity
     */
    public record Beside(List<Planned> lines, double waterMl, double meq) {
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
                            waterMl + line.mlPerDay,
                            meq + line.solution.meqPerMl() * line.mlPerDay);
        }
    }

    /** The same beside other lines. */
    public LineRules with(Beside lines) {
        return new LineRules(litres, system, water, evaporationLPerDay, usePerDay, lines, salts);
    }

    /** All rules that stop a plan; none when it may be. */
    public List<Stop> stops(Planned line) {
        List<Stop> stops = new ArrayList<>();
        Solution solution = line.solution();
        Beside all = others.and(line);
        if (solution.solute() == Solution.Solute.POTASSIUM_CHLORIDE) {
            stops.add(new Stop(Stop.Rule.NO_REMEDY, NO_REMEDY, 0));
        }
        if (line.mlPerDay() > 0 && lifts(solution) && water.phNbs() >= HIGHEST_PH) {
            stops.add(new Stop(
                    Stop.Rule.HIGH_PH,
                    text(
                            "Your daily high is pH %.2f. Don’t dose limewater or hydroxide at 8.5 or above.",
                            water.phNbs()),
                    0));
        }
        double evaporates = evaporationLPerDay * 1000;
        if (all.waterMl() > evaporates) {
            stops.add(new Stop(
                    Stop.Rule.EVAPORATION,
                    text(
                            "%.0f mL of water a day%s is more than evaporates here, about %.0f mL. Salinity "
                                    + "would fall.",
                            all.waterMl(), others.waterMl() > 0 ? " from all dosing lines" : "", evaporates),
                    Math.max(0, evaporates - others.waterMl())));
        }
        double mostPerDay = (usePerDay + AlkalinityUnit.DKH.toMeqPerL(MOST_CLIMB_DKH)) * litres;
        if (solution.meqPerMl() > 0 && all.meq() > mostPerDay) {
            stops.add(new Stop(
                    Stop.Rule.CLIMB,
                    text(
                            "%s %.1f dKH a day, more than 1 dKH above the use. Alkalinity would rise too fast.",
                            others.meq() > 0 ? "With the other dosing lines this adds" : "This adds",
                            AlkalinityUnit.DKH.fromMeqPerL(all.meq() / litres)),
                    Math.max(0, mostPerDay - others.meq()) / solution.meqPerMl()));
        }
        if (solution.meqPerMl() > 0 && !survives(all.lines())) {
            double most = largest(ml -> survives(others.and(line.of(ml)).lines()), line.mlPerDay());
            CarbonateState mixed = atOnce(all.lines());
            stops.add(new Stop(
                    Stop.Rule.AT_ONCE,
                    text(
                            "A whole day’s doses%s at once would add %.1f dKH and reach pH %.1f. Animals "
                                    + "survive 3 dKH and pH 8.8.",
                            others.meq() > 0 ? " of all dosing lines" : "",
                            AlkalinityUnit.DKH.fromMeqPerL(all.meq() / litres),
                            mixed.phNbs()),
                    most));
        }
        climbs(line, all, stops);
        single(line, stops);
        others.lines().stream()
                .filter(other -> line.mlPerDay() > 0 && line.fallsOutWith(other))
                .forEach(other -> apart(line, other, stops));
        return stops;
    }

    /** Calcium, potassium and magnesium that lines without an end would pile up. */
    private void climbs(Planned line, Beside all, List<Stop> stops) {
        if (line.solution().calciumMgPerMl() > 0) {
            DoublePredicate may = ml -> calciumAhead(others.and(line.of(ml))) <= MOST_CALCIUM;
            if (!may.test(line.mlPerDay()) && calciumAhead(all) > salts.calciumMgPerL()) {
                stops.add(new Stop(
                        Stop.Rule.CALCIUM,
                        text(
                                "Calcium would pass 480 mg/L within 30 days, from %.0f now. You dose more than "
                                        + "your animals use.",
                                salts.calciumMgPerL()),
                        largest(may, line.mlPerDay())));
            }
        }
        if (line.solution().potassiumMgPerMl() > 0) {
            DoublePredicate may = ml -> potassiumAhead(others.and(line.of(ml))) <= Creep.MOST_POTASSIUM;
            piles(Stop.Rule.POTASSIUM, "Potassium", salts.potassiumMgPerL(), Creep.MOST_POTASSIUM, may, line, stops);
        }
        if (line.solution().magnesiumMgPerMl() > 0 && line.mlPerDay() > 0) {
            DoublePredicate may = ml -> magnesiumAhead(others.and(line.of(ml))) <= MOST_MAGNESIUM;
            piles(Stop.Rule.MAGNESIUM, "Magnesium", salts.magnesiumMgPerL(), MOST_MAGNESIUM, may, line, stops);
        }
    }

    private static void piles(
            Stop.Rule rule,
            String what,
            double nowMgPerL,
            double mostMgPerL,
            DoublePredicate may,
            Planned line,
            List<Stop> stops) {
        if (!may.test(line.mlPerDay())) {
            stops.add(new Stop(
                    rule,
                    text(
                            "%s would pass %.0f mg/L within 30 days, from %.0f now. Almost nothing in the tank "
                                    + "uses it.",
                            what, mostMgPerL, nowMgPerL),
                    largest(may, line.mlPerDay())));
        }
    }

    private double magnesiumAhead(Beside all) {
        double comes = all.lines().stream()
                        .mapToDouble(l -> l.solution().magnesiumMgPerMl() * l.mlPerDay())
                        .sum()
                / litres;
        return ahead(salts.magnesiumMgPerL(), comes, Creep.USUAL_MAGNESIUM);
    }

    /** mg/L in thirty days. Until tests tell the use, growth takes calcium with the alkalinity that is dosed. */
    private double calciumAhead(Beside all) {
        double comes = all.lines().stream()
                        .mapToDouble(l -> l.solution().calciumMgPerMl() * l.mlPerDay())
                        .sum()
                / litres;
        double goes = salts.calciumUsePerDay() > 0
                ? salts.calciumUsePerDay()
                : CALCIUM_MG_PER_MEQ * Math.max(usePerDay, all.meq() / litres);
        return ahead(salts.calciumMgPerL(), comes - goes, Salts.USUAL_CALCIUM);
    }

    private double potassiumAhead(Beside all) {
        double comes = Creep.of(all.lines(), litres).potassiumMgPerL();
        return ahead(salts.potassiumMgPerL(), comes, Creep.USUAL_POTASSIUM);
    }

    /** A level after thirty days at which so much a day is added and water is changed for new. */
    private double ahead(double now, double addedPerDay, double ofNewWater) {
        double share = salts.changedPerDay();
        if (share <= 0) {
            return now + LOOKED_AHEAD_DAYS * addedPerDay;
        }
        double end = ofNewWater + addedPerDay / share;
        return end + (now - end) * Math.exp(-share * LOOKED_AHEAD_DAYS);
    }

    /** What lifts pH at once, beyond its alkalinity: it takes CO2 out of the water. */
    private static boolean lifts(Solution solution) {
        return switch (solution.solute()) {
            case LIMEWATER, SODIUM_HYDROXIDE, POTASSIUM_HYDROXIDE -> true;
            case SODA_ASH, BICARBONATE, CALCIUM_CHLORIDE, MAGNESIUM_CHLORIDE, MAGNESIUM_SULFATE, POTASSIUM_CHLORIDE ->
                false;
        };
    }

    /** The most a day of a line, up to what is wanted, that no rule stops; 0 where any is stopped. */
    public double most(Planned line, double wanted) {
        DoublePredicate may = ml -> stops(line.of(ml)).isEmpty();
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
            because.add(text(
                    "This adds %.1f dKH. With your use and dosing, at most %.1f dKH a day is safe.", dkh, mayClimb));
        }
        Much much = Stream.of(
                        new Much("calcium", addition.calciumMgPerL(), MUCH_CALCIUM),
                        new Much("potassium", addition.potassiumMgPerL(), MUCH_POTASSIUM),
                        new Much("magnesium", addition.magnesiumMgPerL(), MUCH_MAGNESIUM))
                .max(Comparator.comparingDouble(Much::times))
                .orElseThrow();
        int slowly = (int) Math.ceil(much.times() - ROUNDING);
        if (slowly > 1) {
            because.add(text(
                    "This adds %.0f mg/L of %s. At most %.0f mg/L a day is better.",
                    much.mgPerL(), much.what(), much.aDay()));
            days = Math.max(days, slowly);
        }
        double mixed = rise(addition.what(), meq);
        double daily = meq / days;
        int portions = 1;
        while (portions < MOST_PORTIONS && rise(addition.what(), daily / portions) > MOST_SINGLE_PH) {
            portions++;
        }
        if (mixed > MOST_SINGLE_PH) {
            because.add(text("This would raise pH by %.2f once mixed. The limit is 0.1.", mixed));
        }
        return new Parted(meq, addition.calciumMgPerL(), water.phNbs(), water.phNbs() + mixed, because, days, portions);
    }

    /** What an addition brings of something of which a day should bring so much. */
    private record Much(String what, double mgPerL, double aDay) {
        double times() {
            return mgPerL / aDay;
        }
    }

    private static void apart(Planned line, Planned other, List<Stop> stops) {
        if (line.atOnceWith(other)) {
            stops.add(new Stop(
                    Stop.Rule.APART,
                    text(
                            "This would meet “%s”, and calcium carbonate would precipitate. Keep both at least "
                                    + "%d minutes and some distance apart.",
                            other.name(), LEAST_APART_MIN),
                    0));
        }
        if (line.whereItEnds(other)) {
            stops.add(new Stop(
                    Stop.Rule.SAME_PLACE,
                    text(
                            "“%s” ends in the same place, where calcium carbonate would precipitate. Move one "
                                    + "of the tubes.",
                            other.name()),
                    0));
        }
    }

    /** What several lines bring within a quarter of an hour is one dose. */
    private void single(Planned line, List<Stop> stops) {
        DoseTimes times = line.times();
        if (times == null || line.mlPerDay() <= 0) {
            return;
        }
        List<Planned> together = new ArrayList<>();
        others.lines().stream()
                .filter(other -> other.times() != null && line.atOnceWith(other))
                .forEach(other ->
                        together.add(other.of(other.mlPerDay() / other.times().perDay())));
        double wanted = line.mlPerDay() / times.perDay();
        DoublePredicate may = ml -> rise(together, line.of(ml)) <= MOST_SINGLE_PH;
        if (may.test(wanted)) {
            return;
        }
        double most = largest(may, wanted);
        stops.add(new Stop(
                Stop.Rule.SINGLE_DOSE,
                text(
                        "One dose of %.0f mL%s would raise pH by %.2f once mixed. The limit is 0.1%s",
                        wanted,
                        together.isEmpty() ? "" : ", with other dosing lines within 15 minutes,",
                        rise(together, line.of(wanted)),
                        together.isEmpty() && most > 0
                                ? text(": at least %d doses a day.", (int) Math.ceil(line.mlPerDay() / most))
                                : ". Dose them at other times."),
                most * times.perDay()));
    }

    private double rise(List<Planned> together, Planned line) {
        List<Planned> all = new ArrayList<>(together);
        all.add(line);
        return atOnce(all).phNbs() - water.phNbs();
    }

    private double rise(Solution.Solute what, double meqPerL) {
        return atOnce(what, meqPerL).phNbs() - water.phNbs();
    }

    private double meqPerL(Solution solution, double ml) {
        return solution.meqPerMl() * ml / litres;
    }

    private boolean survives(List<Planned> all) {
        double meq = all.stream()
                .mapToDouble(l -> l.solution().meqPerMl() * l.mlPerDay())
                .sum();
        return AlkalinityUnit.DKH.fromMeqPerL(meq / litres) <= MOST_AT_ONCE_DKH
                && atOnce(all).phNbs() <= Math.max(MOST_AT_ONCE_PH, water.phNbs());
    }

    /** The water right after all of these were mixed in, one after the other. */
    private CarbonateState atOnce(List<Planned> all) {
        CarbonateState mixed = water;
        for (Planned each : all) {
            mixed = atOnce(mixed, each.solution().solute(), meqPerL(each.solution(), each.mlPerDay()));
        }
        return mixed;
    }

    /**
     * What a whole vessel would do that empties at once: by a siphon, or a pump that does not stop.
     *
     * @param kills whether that is more than animals survive
     */
    public record Emptied(double dkh, double phNbs, boolean kills) {}

    public Emptied emptied(Solution solution, double vesselMl) {
        double meqPerL = meqPerL(solution, vesselMl);
        double dkh = AlkalinityUnit.DKH.fromMeqPerL(meqPerL);
        double ph = Math.max(water.phNbs(), atOnce(solution.solute(), meqPerL).phNbs());
        return new Emptied(dkh, ph, dkh > MOST_AT_ONCE_DKH || ph > Math.max(MOST_AT_ONCE_PH, water.phNbs()));
    }

    /** The water right after so much of it was mixed in. */
    private CarbonateState atOnce(Solution.Solute what, double meqPerL) {
        return atOnce(water, what, meqPerL);
    }

    private CarbonateState atOnce(CarbonateState before, Solution.Solute what, double meqPerL) {
        AlkalinitySource source = what.source();
        return source == null || meqPerL <= 0
                ? before
                : new AlkalinityDose(source, Math.min(MOST_COMPUTED, meqPerL), litres).atOnce(system, before);
    }

    /** What a sum of this kind is good for, meq/L. */
    private static final double MOST_COMPUTED = 5;

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

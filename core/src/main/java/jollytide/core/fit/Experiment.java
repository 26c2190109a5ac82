package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.air.IntakeAir;
import jollytide.core.description.TankParameters;
import jollytide.core.measure.Lamps;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.reef.OxygenLines;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import jollytide.core.units.InputException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.jspecify.annotations.Nullable;

/**
 * A measurement that could be made, and what it would tell: by how much it would narrow what is decided by, computed
 * before it is made from how its readings would hang on what is not known (the linearised posterior, Lindley 1956).
 */
public enum Experiment {
    SKIMMER_OFF_BEFORE_LIGHT(
            "skimmer off for the last two hours before lights-on, pH every five minutes", 20, Stops.SKIMMER),
    SKIMMER_OFF_AT_NIGHT("skimmer off from lights-off to lights-on, pH every five minutes", 30, Stops.SKIMMER),
    LAMPS_OFF_FOR_A_DAY("lamps off for one day, pH every five minutes", 10, Stops.LAMPS),
    OXYGEN_NIGHT("an oxygen probe in the water for one night", 20, Stops.NOTHING),
    PROBE_IN_BUFFERS("the pH probe calibrated in two buffers", 15, Stops.NOTHING),
    ANOTHER_ALKALINITY_TEST("alkalinity with another kit, tested twice", 10, Stops.NOTHING),
    GLASS_OF_AIR("a glass of tank water, aerated with outdoor air until pH is stable", 90, Stops.NOTHING),
    ROOM_METER("a CO2 meter in the room for three days", 15, Stops.NOTHING),
    INTAKE_METER("a CO2 meter at the skimmer’s intake, compared with the room", 10, Stops.NOTHING);

    private static final Duration BEFORE_LIGHT = Duration.ofHours(2);
    /** The way back tells as much as the way there. */
    public static final Duration RECOVERY = Duration.ofHours(6);

    private static final Duration EVERY = Duration.ofMinutes(30);
    private static final Duration DAY = Duration.ofDays(1);
    /** So far ahead it is looked when the animals' oxygen would run short. */
    private static final Duration LOOKED_AHEAD = DAY;

    private static final Noise OXYGEN_NOISE = new Noise(0.9, 0.1);
    private static final Noise LEAST_NOISE = new Noise(0.9, 0.004);
    /** A probe fresh from its buffers, pH; from memory, like the next ones. */
    private static final double CALIBRATED_PH = 0.02;

    private static final double OTHER_KIT_MEQ_PER_L = 0.036;
    private static final double GLASS_PH = 0.05;
    private static final double THREE_DAYS_OF_ROOM = 0.1;
    private static final double OXYGEN_PROBE_MG_PER_L = 0.3;

    private final String label;
    private final int minutes;
    private final Stops stops;

    /** What stands still while an experiment lasts. */
    public enum Stops {
        NOTHING,
        SKIMMER,
        LAMPS
    }

    Experiment(String label, int minutes, Stops stops) {
        this.label = label;
        this.minutes = minutes;
        this.stops = stops;
    }

    public String label() {
        return label;
    }

    /** A keeper's own time for it, minutes. From memory. */
    public int minutes() {
        return minutes;
    }

    /** Whether it changes the tank while it lasts, and so has an end that must be kept. */
    public boolean changesTheTank() {
        return stops != Stops.NOTHING;
    }

    public Stops stops() {
        return stops;
    }

    /** What is done to the tank while it lasts. */
    public MeasureSet during() {
        return switch (stops) {
            case NOTHING -> MeasureSet.NONE;
            case SKIMMER -> MeasureSet.of(new SkimmerDraw(0));
            case LAMPS -> MeasureSet.of(new Lamps(0));
        };
    }

    /**
     * The animals' oxygen in an experiment, on the early side: that of the worst tank that could be behind the log.
     *
     * @param lowestMgPerL up to its end and on the way back
     * @param cautionAt when it would reach the caution line if nobody ended it; null when not within a day
     */
    public record Oxygen(double lowestMgPerL, @Nullable Instant cautionAt) {
        /** Whether it keeps the animals above the caution line. */
        public boolean allowed() {
            return lowestMgPerL >= OxygenLines.CAUTION;
        }
    }

    /**
     * What an experiment would tell.
     *
     * @param from when it begins on an ordinary day; null when it can be made at any time
     * @param until when it ends
     * @param narrowing of each {@link Decision} that the tank has, in their order: 0.4 when its band would lose two fifths
     * @param ofTheBest mean narrowing of the gains of the two measures that promise most
     * @param lowestOxygenMgPerL during it on the early side; null where it does not touch oxygen
     */
    public record Promise(
            Experiment experiment,
            @Nullable Instant from,
            @Nullable Instant until,
            List<Double> narrowing,
            double ofTheBest,
            @Nullable Double lowestOxygenMgPerL) {

        /** Whether it keeps the animals above the caution line. */
        public boolean allowed() {
            return lowestOxygenMgPerL == null || new Oxygen(lowestOxygenMgPerL, null).allowed();
        }
    }

    /**
     * What each would tell of a tank; those that are allowed first, by what they tell for each minute of a keeper's
     * time.
     *
     * @param edges of the tank, as {@link Edges} finds them
     * @param at the beginning of an ordinary day
     */
    public static List<Promise> ranked(Setup setup, FittedTank fitted, List<TankParameters> edges, Instant at) {
        Slopes slopes;
        try {
            slopes = Slopes.of(setup, fitted, at);
        } catch (InputException leavesWhatWaterCanBe) {
            return List.of();
        }
        return Stream.of(values())
                .filter(e -> e.fits(setup, fitted))
                .map(e -> e.livable(setup, fitted, slopes, edges, at))
                .sorted(Comparator.comparing(Promise::allowed)
                        .thenComparingDouble(p -> p.ofTheBest / p.experiment.minutes)
                        .reversed())
                .toList();
    }

    private boolean fits(Setup setup, FittedTank fitted) {
        return switch (this) {
            case SKIMMER_OFF_BEFORE_LIGHT, SKIMMER_OFF_AT_NIGHT -> setup.skimmer() != null && nights(setup);
            case LAMPS_OFF_FOR_A_DAY -> nights(setup);
            case OXYGEN_NIGHT -> nights(setup) && !fitted.unknowns().contains(Unknown.OXYGEN_PROBE);
            case ROOM_METER -> fitted.unknowns().contains(Unknown.ROOM_EXCESS);
            case INTAKE_METER -> setup.intake().isPresent() && fullest(setup) >= IntakeAir.LEAST_GAP_PPM;
            case PROBE_IN_BUFFERS, ANOTHER_ALKALINITY_TEST, GLASS_OF_AIR -> true;
        };
    }

    /** A day and a night that are long enough for readings. */
    private static boolean nights(Setup setup) {
        double lit = setup.light().litHours();
        return setup.light().switches() && Math.min(lit, 24 - lit) >= LEAST_HOURS;
    }

    private static final double LEAST_HOURS = 1;

    /** Where even the most probable tank would not live through it, it promises nothing. */
    private Promise livable(Setup setup, FittedTank fitted, Slopes slopes, List<TankParameters> edges, Instant at) {
        try {
            return promise(setup, fitted, slopes, edges, at);
        } catch (InputException suffocates) {
            return new Promise(
                    this, null, null, Collections.nCopies(slopes.values().getDimension(), 0.0), 0, 0.0);
        }
    }

    private Promise promise(Setup setup, FittedTank fitted, Slopes slopes, List<TankParameters> edges, Instant at) {
        return switch (this) {
            case SKIMMER_OFF_BEFORE_LIGHT, SKIMMER_OFF_AT_NIGHT, LAMPS_OFF_FOR_A_DAY, OXYGEN_NIGHT ->
                logged(setup, fitted, slopes, edges, at);
            case PROBE_IN_BUFFERS -> single(setup, slopes, row(fitted, slopes, Unknown.PROBE, 1, CALIBRATED_PH));
            case ANOTHER_ALKALINITY_TEST ->
                single(setup, slopes, row(fitted, slopes, Unknown.ALKALINITY, 1, OTHER_KIT_MEQ_PER_L));
            case GLASS_OF_AIR -> {
                // At a given CO2 the pH goes with the logarithm of alkalinity; the probe reads it as it reads the tank.
                double perMeq = Math.log10(Math.E) / setup.alkalinityMeqPerL();
                yield single(
                        setup,
                        slopes,
                        row(fitted, slopes, Unknown.PROBE, 1, GLASS_PH)
                                .add(row(fitted, slopes, Unknown.ALKALINITY, perMeq, GLASS_PH)));
            }
            case ROOM_METER -> single(setup, slopes, row(fitted, slopes, Unknown.ROOM_EXCESS, 1, THREE_DAYS_OF_ROOM));
            case INTAKE_METER -> {
                // At most a logarithm of odds moves the share by share · (1 − share), and that moves the air by the
                // gap.
                double share = IntakeAir.withOdds(
                        setup.intake().orElseThrow().outdoors(), fitted.likely().intakeOddsFactor());
                yield single(
                        setup,
                        slopes,
                        row(
                                fitted,
                                slopes,
                                Unknown.INTAKE,
                                share * (1 - share),
                                IntakeAir.TWO_READINGS_PPM / fullest(setup)));
            }
        };
    }

    /** By how much the room holds more than outdoors when it is fullest, ppm. */
    private static double fullest(Setup setup) {
        return setup.room().ppm().hourlyPpm().stream()
                        .mapToDouble(Double::doubleValue)
                        .max()
                        .orElseThrow()
                - setup.outdoorPpm();
    }

    /** One reading that hangs on one unknown, in its own standard deviations. */
    private static RealMatrix row(FittedTank fitted, Slopes slopes, Unknown unknown, double slope, double error) {
        int i = fitted.unknowns().indexOf(unknown);
        return MatrixUtils.createRowRealMatrix(
                slopes.lower().getRowVector(i).mapMultiply(slope / error).toArray());
    }

    private Promise single(Setup setup, Slopes slopes, RealMatrix readings) {
        return promise(setup, slopes, readings, null, null, null);
    }

    private Promise logged(Setup setup, FittedTank fitted, Slopes slopes, List<TankParameters> edges, Instant at) {
        Instant on = next(setup, at.plus(DAY), true);
        Instant from = switch (this) {
            case LAMPS_OFF_FOR_A_DAY -> on;
            case SKIMMER_OFF_BEFORE_LIGHT -> on.minus(BEFORE_LIGHT);
            default -> next(setup, on.minus(DAY), false);
        };
        Instant until = this == LAMPS_OFF_FOR_A_DAY ? next(setup, on, false) : on;
        ToDoubleFunction<TwinState> shown = this == OXYGEN_NIGHT ? TwinState::oxygenMgPerL : TwinState::phNbs;
        List<TwinState> likely = run(setup, fitted.likely(), at, from, until);
        double[] here = likely.stream().mapToDouble(shown).toArray();
        RealMatrix change = Slopes.columns(
                here.length,
                slopes.lower().getColumnDimension(),
                j -> Slopes.slope(
                        slopes.lower().getColumnVector(j),
                        here,
                        sizes -> run(setup, fitted.at(sizes), at, from, until).stream()
                                .mapToDouble(shown)
                                .toArray(),
                        fitted));
        List<Reading> readings =
                likely.stream().map(s -> new Reading(s.at(), 0)).toList();
        boolean ofOxygen = this == OXYGEN_NIGHT;
        Noise noise = ofOxygen
                ? OXYGEN_NOISE
                : fitted.freshPh() == 0 ? LEAST_NOISE : new Noise(fitted.persistence(), fitted.freshPh());
        double looser = 1 / Math.sqrt(Math.max(1, fitted.dispersion()));
        int n = change.getColumnDimension();
        // One more column: what the probe itself is off.
        RealMatrix white = new Array2DRowRealMatrix(here.length, n + 1);
        for (int j = 0; j <= n; j++) {
            double[] column = j < n ? change.getColumn(j) : new double[here.length];
            if (ofOxygen && j == n) {
                Arrays.fill(column, OXYGEN_PROBE_MG_PER_L);
            } else if (!ofOxygen && j < n) {
                double probe = slopes.lower().getEntry(fitted.unknowns().indexOf(Unknown.PROBE), j);
                column = Arrays.stream(column).map(c -> c + probe).toArray();
            }
            white.setColumnVector(
                    j,
                    MatrixUtils.createRealVector(noise.whitened(readings, column))
                            .mapMultiply(looser));
        }
        Double lowest = changesTheTank() ? lowestOxygen(setup, edges, at, from, until) : null;
        return promise(setup, slopes, white, from, until, lowest);
    }

    /** An ordinary day up to {@code from}, then this experiment until {@code until}, and the way back. */
    private List<TwinState> run(Setup setup, TankParameters tank, Instant at, Instant from, Instant until) {
        OrdinaryDays days = new OrdinaryDays(setup, tank);
        TwinState today = days.today(at);
        TwinState begins =
                from.isAfter(at) ? last(days.run(today, MeasureSet.NONE, Duration.between(at, from), EVERY)) : today;
        List<TwinState> all = new ArrayList<>(days.run(begins, during(), Duration.between(from, until), EVERY));
        if (changesTheTank()) {
            all.addAll(days.run(last(all), MeasureSet.NONE, RECOVERY, EVERY));
        }
        return all;
    }

    private static TwinState last(List<TwinState> run) {
        return run.get(run.size() - 1);
    }

    /** Nothing lives where one of the tanks at the edges cannot be run. */
    private double lowestOxygen(Setup setup, List<TankParameters> edges, Instant at, Instant from, Instant until) {
        try {
            return edges.stream()
                    .flatMap(tank -> run(setup, tank, at, from, until).stream())
                    .mapToDouble(TwinState::oxygenMgPerL)
                    .min()
                    .orElseThrow();
        } catch (InputException suffocates) {
            return 0;
        }
    }

    /**
     * The animals' oxygen when it is begun at some moment.
     *
     * @param edges of the tank, as {@link Edges} finds them
     * @param at the beginning of the ordinary day in which it begins
     * @param from when it begins, not before {@code at}; with {@code until} it is taken from the half hour before to the
     *     one after
     */
    public Oxygen oxygen(Setup setup, List<TankParameters> edges, Instant at, Instant from, Instant until) {
        Instant begins = at.plus(EVERY.multipliedBy(Duration.between(at, from).dividedBy(EVERY)));
        Instant ends = begins.plus(EVERY.multipliedBy(
                -Math.floorDiv(-Duration.between(begins, until).toSeconds(), EVERY.toSeconds())));
        Instant caution = edges.stream()
                .map(tank -> caution(setup, tank, at, begins))
                .filter(Objects::nonNull)
                .min(Comparator.naturalOrder())
                .orElse(null);
        return new Oxygen(lowestOxygen(setup, edges, at, begins, ends), caution);
    }

    /** At once where a tank cannot even be run that far. */
    private @Nullable Instant caution(Setup setup, TankParameters tank, Instant at, Instant from) {
        try {
            return run(setup, tank, at, from, from.plus(LOOKED_AHEAD)).stream()
                    .filter(s -> s.at().isAfter(from) && !s.at().isAfter(from.plus(LOOKED_AHEAD)))
                    .filter(s -> s.oxygenMgPerL() < OxygenLines.CAUTION)
                    .map(TwinState::at)
                    .findFirst()
                    .orElse(null);
        } catch (InputException suffocates) {
            return from;
        }
    }

    private static Instant next(Setup setup, Instant after, boolean lit) {
        Instant t = after;
        do {
            t = setup.light().nextSwitch(t, setup.zone());
        } while (setup.light().litAt(t, setup.zone()) != lit);
        return t;
    }

    /**
     * @param readings by the slopes' steps, in standard deviations of their own scatter; with one more column where the
     *     probe has an error of its own
     */
    private Promise promise(
            Setup setup,
            Slopes slopes,
            RealMatrix readings,
            @Nullable Instant from,
            @Nullable Instant until,
            @Nullable Double lowestOxygen) {
        int n = readings.getColumnDimension();
        RealMatrix left =
                MatrixUtils.inverse(MatrixUtils.createRealIdentityMatrix(n).add(readings.transposeMultiply(readings)));
        List<Double> narrowing = new ArrayList<>();
        for (int i = 0; i < slopes.change().getRowDimension(); i++) {
            RealVector decision = slopes.change().getRowVector(i);
            RealVector padded = MatrixUtils.createRealVector(new double[n]);
            padded.setSubVector(0, decision);
            double before = decision.dotProduct(decision);
            double after = padded.dotProduct(left.operate(padded));
            narrowing.add(before == 0 ? 0 : 1 - Math.sqrt(after / before));
        }
        List<Decision> decisions = Decision.of(setup);
        double ofTheBest = IntStream.range(0, decisions.size())
                .filter(i -> decisions.get(i).gain())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -slopes.values().getEntry(i)))
                .limit(2)
                .mapToDouble(narrowing::get)
                .average()
                .orElse(0);
        return new Promise(this, from, until, narrowing, ofTheBest, lowestOxygen);
    }
}
